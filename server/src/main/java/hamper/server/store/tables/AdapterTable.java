package hamper.server.store.tables;

import hamper.address.IpAddress;
import hamper.display.Adapter;
import hamper.display.Controller;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;

/** Further network adapters of hosts. */
final class AdapterTable {
  static final Table TABLE =
      new Table(
          "adapter", 2, List.of("controller_id", "place", "name", "address"), AdapterTable::rows);

  private AdapterTable() {}

  private static List<Object[]> rows(Parts parts) {
    List<Object[]> rows = new ArrayList<>();
    for (Parts.Placed<Controller> at : parts.controllers()) {
      Controller controller = at.part();
      for (int i = 0; i < controller.adapters().size(); i++) {
        Adapter adapter = controller.adapters().get(i);
        rows.add(Table.row(controller.id(), i, adapter.name(), adapter.address().text()));
      }
    }
    return rows;
  }

  static Adapter read(Row row) throws SQLException {
    return new Adapter(row.string("name"), new IpAddress(row.string("address")));
  }
}
