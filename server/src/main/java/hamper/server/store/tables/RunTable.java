package hamper.server.store.tables;

import hamper.catalog.PortKind;
import hamper.display.Controller;
import hamper.display.Leg;
import hamper.display.Run;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** What hangs or is set at a port. */
final class RunTable {
  static final Table TABLE =
      new Table(
          "run",
          3,
          List.of("controller_id", "kind", "port", "universe", "brightness"),
          RunTable::rows);

  private RunTable() {}

  private static List<Object[]> rows(Parts parts) {
    List<Object[]> rows = new ArrayList<>();
    for (Parts.Placed<Controller> at : parts.controllers()) {
      Controller controller = at.part();
      for (Run run : controller.runs()) {
        rows.add(
            Table.row(controller.id(), run.kind(), run.port(), run.universe(), run.brightness()));
      }
    }
    return rows;
  }

  static Run read(Row row, Map<String, List<Leg>> legs) throws SQLException {
    return new Run(
        PortKind.valueOf(row.string("kind")),
        row.integer("port"),
        legs.getOrDefault(LegTable.laneOf(row), List.of()),
        row.number("universe"),
        row.number("brightness"));
  }
}
