package hamper.server.store.tables;

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
          List.of("id", "place", "name", "volts", "amps", "other_watts"),
          MainsTable::rows);

  private MainsTable() {}

  private static List<Object[]> rows(Parts parts) {
    List<Object[]> rows = new ArrayList<>();
    for (MainsCircuit one : parts.display().power().mains()) {
      rows.add(
          Table.row(one.id(), rows.size(), one.name(), one.volts(), one.amps(), one.otherWatts()));
    }
    return rows;
  }

  static MainsCircuit read(Row row) throws SQLException {
    return new MainsCircuit(
        row.string("id"),
        row.string("name"),
        row.real("volts"),
        row.real("amps"),
        row.real("other_watts"));
  }
}
