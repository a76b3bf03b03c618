package hamper.server.store.tables;

import hamper.display.BankCable;
import hamper.display.Controller;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;

/** Cables between a bank and its remote boxes. */
final class CableTable {
  static final Table TABLE =
      new Table(
          "bank_cable",
          2,
          List.of("controller_id", "place", "bank", "box", "metres"),
          CableTable::rows);

  private CableTable() {}

  private static List<Object[]> rows(Parts parts) {
    List<Object[]> rows = new ArrayList<>();
    for (Parts.Placed<Controller> at : parts.controllers()) {
      Controller controller = at.part();
      for (int i = 0; i < controller.cables().size(); i++) {
        BankCable cable = controller.cables().get(i);
        rows.add(Table.row(controller.id(), i, cable.bank(), cable.box(), cable.metres()));
      }
    }
    return rows;
  }

  static BankCable read(Row row) throws SQLException {
    return new BankCable(row.integer("bank"), row.integer("box"), row.real("metres"));
  }
}
