package hamper.server.store.tables;

import hamper.catalog.Gauge;
import hamper.display.Piece;
import hamper.display.PixelString;
import hamper.display.Prop;
import hamper.display.Section;
import hamper.display.Wiring;
import hamper.files.Json;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Pieces of props: strings in columns, but for their sections; other kinds as documents. */
final class PieceTable {
  static final Table TABLE =
      new Table(
          "piece",
          1,
          List.of(
              "id",
              "prop_id",
              "place",
              "kind",
              "name",
              "pixel_type",
              "data_in",
              "connector",
              "lead_metres",
              "gauge",
              "spacing_metres",
              "data_only",
              "connector_amps",
              "detail"),
          PieceTable::rows);

  private PieceTable() {}

  private static List<Object[]> rows(Parts parts) {
    List<Object[]> rows = new ArrayList<>();
    for (Parts.Placed<Prop> at : parts.props()) {
      Prop prop = at.part();
      for (int i = 0; i < prop.pieces().size(); i++) {
        rows.add(piece(prop, prop.pieces().get(i), i));
      }
    }
    return rows;
  }

  private static Object[] piece(Prop prop, Piece piece, int place) {
    if (piece instanceof PixelString string) {
      return Table.row(
          string.id(),
          prop.id(),
          place,
          "string",
          string.name(),
          string.pixelType(),
          string.dataIn(),
          string.connector(),
          string.leadMetres(),
          string.wires().gauge().map(Gauge::text),
          string.wires().spacingMetres(),
          string.wires().dataOnly(),
          string.wires().connectorAmps(),
          null);
    }
    String detail = Json.MAPPER.writerFor(Piece.class).writeValueAsString(piece);
    String kind = Json.MAPPER.readTree(detail).get("kind").asString();
    return Table.row(
        piece.id(),
        prop.id(),
        place,
        kind,
        piece.name(),
        null,
        null,
        null,
        null,
        null,
        null,
        false,
        null,
        detail);
  }

  static Piece read(Row row, Map<String, List<Section>> sections) throws SQLException {
    if (!row.string("kind").equals("string")) {
      return Json.MAPPER.readValue(row.string("detail"), Piece.class);
    }
    return new PixelString(
        row.string("id"),
        row.string("name"),
        row.string("pixel_type"),
        sections.get(row.string("id")),
        row.string("data_in"),
        row.string("connector"),
        row.real("lead_metres"),
        Optional.of(
            new Wiring(
                row.text("gauge").map(Gauge::new),
                row.decimal("spacing_metres"),
                row.bool("data_only"),
                row.decimal("connector_amps"))));
  }
}
