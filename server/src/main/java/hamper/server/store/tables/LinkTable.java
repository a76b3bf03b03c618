package hamper.server.store.tables;

import hamper.display.Link;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;

/** Network cables between enclosures. */
final class LinkTable {
  static final Table TABLE =
      new Table(
          "link",
          1,
          List.of("id", "place", "name", "from_id", "to_id", "kind", "metres"),
          LinkTable::rows);

  private LinkTable() {}

  private static List<Object[]> rows(Parts parts) {
    List<Object[]> rows = new ArrayList<>();
    for (Link one : parts.display().links()) {
      rows.add(
          Table.row(
              one.id(), rows.size(), one.name(), one.from(), one.to(), one.kind(), one.metres()));
    }
    return rows;
  }

  static Link read(Row row) throws SQLException {
    return new Link(
        row.string("id"),
        row.string("name"),
        row.string("from_id"),
        row.string("to_id"),
        Link.Kind.valueOf(row.string("kind")),
        row.decimal("metres"));
  }
}
