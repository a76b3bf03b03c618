package hamper.server.store.tables;

import hamper.address.ColourOrder;
import hamper.display.Hold;
import hamper.display.Piece;
import hamper.display.PixelString;
import hamper.display.Prop;
import hamper.display.Section;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Sections of strings. */
final class SectionTable {
  static final Table TABLE =
      new Table(
          "section",
          2,
          List.of(
              "piece_id",
              "place",
              "pixels",
              "null_pixels",
              "group_size",
              "fold",
              "backward",
              "colour_order",
              "brightness",
              "hold_universe",
              "hold_channel"),
          SectionTable::rows);

  private SectionTable() {}

  private static List<Object[]> rows(Parts parts) {
    List<Object[]> rows = new ArrayList<>();
    for (Parts.Placed<Prop> at : parts.props()) {
      Prop prop = at.part();
      for (Piece piece : prop.pieces()) {
        if (piece instanceof PixelString string) {
          for (int i = 0; i < string.sections().size(); i++) {
            rows.add(section(string.id(), i, string.sections().get(i)));
          }
        }
      }
    }
    return rows;
  }

  private static Object[] section(String piece, int place, Section section) {
    return Table.row(
        piece,
        place,
        section.pixels(),
        section.nullPixels(),
        section.group(),
        section.fold(),
        section.backward(),
        section.colourOrder().map(order -> order.letters()),
        section.brightness(),
        section.hold().flatMap(Hold::universe),
        section.hold().map(Hold::channel));
  }

  static Section read(Row row) throws SQLException {
    return new Section(
        row.integer("pixels"),
        row.integer("null_pixels"),
        row.integer("group_size"),
        row.number("fold"),
        row.bool("backward"),
        row.text("colour_order").map(ColourOrder::new),
        row.number("brightness"),
        hold(row));
  }

  private static Optional<Hold> hold(Row row) throws SQLException {
    Optional<Integer> universe = row.number("hold_universe");
    return row.number("hold_channel").map(channel -> new Hold(universe, channel));
  }
}
