package hamper.server.store.tables;

import hamper.catalog.PixelType;
import hamper.files.Json;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;

/** Pixel types that a display brings along, as documents. */
final class OwnPixelTypeTable {
  static final Table TABLE =
      new Table("own_pixel_type", 1, List.of("id", "place", "content"), OwnPixelTypeTable::rows);

  private OwnPixelTypeTable() {}

  private static List<Object[]> rows(Parts parts) {
    List<Object[]> rows = new ArrayList<>();
    parts
        .display()
        .pixelTypes()
        .forEach(t -> rows.add(Table.row(t.id(), rows.size(), Json.MAPPER.writeValueAsString(t))));
    return rows;
  }

  static PixelType read(Row row) throws SQLException {
    return Json.MAPPER.readValue(row.string("content"), PixelType.class);
  }
}
