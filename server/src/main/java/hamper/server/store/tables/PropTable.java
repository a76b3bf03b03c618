package hamper.server.store.tables;

import hamper.display.Piece;
import hamper.display.Prop;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Props, without their pieces. */
final class PropTable {
  static final Table TABLE =
      new Table(
          "prop",
          1,
          List.of("id", "place", "name", "zone_id", "brightness", "rank"),
          PropTable::rows);

  private PropTable() {}

  private static List<Object[]> rows(Parts parts) {
    List<Object[]> rows = new ArrayList<>();
    for (Parts.Placed<Prop> at : parts.props()) {
      Prop prop = at.part();
      rows.add(
          Table.row(
              prop.id(), at.place(), prop.name(), prop.zone(), prop.brightness(), prop.rank()));
    }
    return rows;
  }

  static Prop read(Row row, Map<String, List<Piece>> pieces) throws SQLException {
    return new Prop(
        row.string("id"),
        row.string("name"),
        row.text("zone_id"),
        row.number("brightness"),
        row.number("rank"),
        pieces.get(row.string("id")));
  }
}
