package hamper.server.store.tables;

import hamper.display.Controller;
import hamper.display.PoweredInput;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Which supply feeds which power input. */
final class PoweredInputTable {
  static final Table TABLE =
      new Table(
          "powered_input",
          3,
          List.of("controller_id", "bank", "input", "supply_id"),
          PoweredInputTable::rows);

  private PoweredInputTable() {}

  private static List<Object[]> rows(Parts parts) {
    List<Object[]> rows = new ArrayList<>();
    for (Parts.Placed<Controller> at : parts.controllers()) {
      Controller controller = at.part();
      for (PoweredInput one : controller.powered()) {
        rows.add(Table.row(controller.id(), one.bank().orElse(0), one.input(), one.supply()));
      }
    }
    return rows;
  }

  static PoweredInput read(Row row) throws SQLException {
    return new PoweredInput(
        Optional.of(row.integer("bank")).filter(bank -> bank > 0),
        row.integer("input"),
        row.string("supply_id"));
  }
}
