package hamper.server.store.tables;

import hamper.catalog.DeviceModel;
import hamper.files.Json;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;

/** Device models that a display brings along, as documents. */
final class OwnModelTable {
  static final Table TABLE =
      new Table("own_model", 1, List.of("id", "place", "content"), OwnModelTable::rows);

  private OwnModelTable() {}

  private static List<Object[]> rows(Parts parts) {
    List<Object[]> rows = new ArrayList<>();
    parts
        .display()
        .models()
        .forEach(m -> rows.add(Table.row(m.id(), rows.size(), Json.MAPPER.writeValueAsString(m))));
    return rows;
  }

  static DeviceModel read(Row row) throws SQLException {
    return Json.MAPPER.readValue(row.string("content"), DeviceModel.class);
  }
}
