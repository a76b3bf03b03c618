package hamper.server.store.tables;

import hamper.display.Enclosure;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Enclosures. */
final class EnclosureTable {
  static final Table TABLE =
      new Table(
          "enclosure",
          1,
          List.of("id", "place", "name", "zone_id", "mains_id", "switches"),
          EnclosureTable::rows);

  private EnclosureTable() {}

  private static List<Object[]> rows(Parts parts) {
    List<Object[]> rows = new ArrayList<>();
    for (Enclosure one : parts.display().enclosures()) {
      rows.add(
          Table.row(
              one.id(),
              rows.size(),
              one.name(),
              one.zone(),
              one.mains(),
              one.switches().stream().map(String::valueOf).collect(Collectors.joining(" "))));
    }
    return rows;
  }

  static Enclosure read(Row row) throws SQLException {
    return new Enclosure(
        row.string("id"),
        row.string("name"),
        row.text("zone_id"),
        row.text("mains_id"),
        Stream.of(row.string("switches").split(" "))
            .filter(ports -> !ports.isEmpty())
            .map(Integer::valueOf)
            .toList());
  }
}
