package hamper.server.store.tables;

import hamper.catalog.Gauge;
import hamper.display.Conductor;
import hamper.display.Controller;
import hamper.display.Feed;
import hamper.display.Leg;
import hamper.display.Run;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** Legs of runs. */
final class LegTable {
  static final Table TABLE =
      new Table(
          "leg",
          1,
          List.of(
              "piece_id",
              "controller_id",
              "kind",
              "port",
              "place",
              "null_pixels",
              "cable_metres",
              "box",
              "mirror_of",
              "cable_gauge",
              "cut"),
          LegTable::rows);

  private LegTable() {}

  private static List<Object[]> rows(Parts parts) {
    List<Object[]> rows = new ArrayList<>();
    for (Parts.Placed<Controller> at : parts.controllers()) {
      Controller controller = at.part();
      for (Run run : controller.runs()) {
        for (int i = 0; i < run.legs().size(); i++) {
          Leg leg = run.legs().get(i);
          rows.add(
              Table.row(
                  leg.piece(),
                  controller.id(),
                  run.kind(),
                  run.port(),
                  i,
                  leg.nullPixels(),
                  leg.cableMetres(),
                  leg.box(),
                  leg.mirrorOf(),
                  leg.cableGauge().map(Gauge::text),
                  leg.cut().stream().map(Enum::name).collect(Collectors.joining(" "))));
        }
      }
    }
    return rows;
  }

  static Leg read(Row row, Map<String, List<Feed>> feeds) throws SQLException {
    return new Leg(
        row.string("piece_id"),
        row.integer("null_pixels"),
        row.decimal("cable_metres"),
        row.number("box"),
        row.text("mirror_of"),
        row.text("cable_gauge").map(Gauge::new),
        cut(row.string("cut")),
        feeds.getOrDefault(row.string("piece_id"), List.of()));
  }

  private static List<Conductor> cut(String names) {
    return names.isEmpty()
        ? List.of()
        : Arrays.stream(names.split(" ")).map(Conductor::valueOf).toList();
  }

  /** The port that a leg hangs on, or that a run is of. */
  static String laneOf(Row row) throws SQLException {
    return "%s %s %d"
        .formatted(row.string("controller_id"), row.string("kind"), row.integer("port"));
  }
}
