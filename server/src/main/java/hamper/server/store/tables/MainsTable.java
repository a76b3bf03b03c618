package hamper.server.store.tables;

import hamper.display.Breaker;
import hamper.display.MainsCircuit;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;

/** Mains circuits. */
final class MainsTable {
  static final Table TABLE =
      new Table(
          "mains_circuit",
          1,
          List.of(
              "id",
              "place",
              "name",
              "volts",
              "amps",
              "other_watts",
              "breaker",
              "residual_milliamps"),
          MainsTable::rows);

  private MainsTable() {}

  private static List<Object[]> rows(Parts parts) {
    List<Object[]> rows = new ArrayList<>();
    for (MainsCircuit one : parts.display().power().mains()) {
      rows.add(
          Table.row(
              one.id(),
              rows.size(),
              one.name(),
              one.volts(),
              one.amps(),
              one.otherWatts(),
              one.breaker().map(Enum::name),
              one.residualMilliamps()));
    }
    return rows;
  }

  static MainsCircuit read(Row row) throws SQLException {
    return new MainsCircuit(
        row.string("id"),
        row.string("name"),
        row.real("volts"),
        row.real("amps"),
        row.real("other_watts"),
        row.text("breaker").map(Breaker::valueOf),
        row.decimal("residual_milliamps"));
  }
}
