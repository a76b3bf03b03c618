package hamper.server.store.tables;

import hamper.display.Zone;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;

/** Zones. */
final class ZoneTable {
  static final Table TABLE =
      new Table(
          "zone",
          1,
          List.of("id", "place", "name", "east_metres", "north_metres"),
          ZoneTable::rows);

  private ZoneTable() {}

  private static List<Object[]> rows(Parts parts) {
    List<Object[]> rows = new ArrayList<>();
    for (Zone zone : parts.display().zones()) {
      rows.add(
          Table.row(zone.id(), rows.size(), zone.name(), zone.eastMetres(), zone.northMetres()));
    }
    return rows;
  }

  static Zone read(Row row) throws SQLException {
    return new Zone(
        row.string("id"),
        row.string("name"),
        row.decimal("east_metres"),
        row.decimal("north_metres"));
  }
}
