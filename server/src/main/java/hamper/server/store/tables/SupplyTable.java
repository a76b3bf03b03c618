package hamper.server.store.tables;

import hamper.display.Supply;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;

/** Supplies. */
final class SupplyTable {
  static final Table TABLE =
      new Table(
          "supply",
          1,
          List.of(
              "id",
              "place",
              "name",
              "zone_id",
              "volts",
              "amps",
              "mains_id",
              "efficiency_percent",
              "enclosure_id",
              "leakage_milliamps",
              "switch_on_amps"),
          SupplyTable::rows);

  private SupplyTable() {}

  private static List<Object[]> rows(Parts parts) {
    List<Object[]> rows = new ArrayList<>();
    for (Supply one : parts.display().power().supplies()) {
      rows.add(
          Table.row(
              one.id(),
              rows.size(),
              one.name(),
              one.zone(),
              one.volts(),
              one.amps(),
              one.mains(),
              one.efficiencyPercent(),
              one.enclosure(),
              one.leakageMilliamps(),
              one.switchOnAmps()));
    }
    return rows;
  }

  static Supply read(Row row) throws SQLException {
    return new Supply(
        row.string("id"),
        row.string("name"),
        row.text("zone_id"),
        row.real("volts"),
        row.real("amps"),
        row.text("mains_id"),
        row.number("efficiency_percent"),
        row.text("enclosure_id"),
        row.decimal("leakage_milliamps"),
        row.decimal("switch_on_amps"));
  }
}
