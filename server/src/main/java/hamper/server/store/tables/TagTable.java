package hamper.server.store.tables;

import hamper.display.Tag;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;

/** Labels of strings and cables. */
final class TagTable {
  static final Table TABLE =
      new Table(
          "tag",
          1,
          List.of("place", "text", "kind", "of_id", "bank", "box", "name"),
          TagTable::rows);

  private TagTable() {}

  private static List<Object[]> rows(Parts parts) {
    List<Object[]> rows = new ArrayList<>();
    for (Tag one : parts.display().workshop().tags()) {
      rows.add(
          Table.row(
              rows.size(), one.text(), one.kind(), one.of(), one.bank(), one.box(), one.name()));
    }
    return rows;
  }

  static Tag read(Row row) throws SQLException {
    return new Tag(
        row.string("text"),
        Tag.Kind.valueOf(row.string("kind")),
        row.string("of_id"),
        row.number("bank"),
        row.number("box"),
        row.string("name"));
  }
}
