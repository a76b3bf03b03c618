package hamper.server.store.tables;

import hamper.display.Accepted;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;

/** Risks and hints that somebody takes. */
final class AcceptedTable {
  static final Table TABLE =
      new Table(
          "accepted",
          1,
          List.of("place", "identity", "code", "message", "reason"),
          AcceptedTable::rows);

  private AcceptedTable() {}

  private static List<Object[]> rows(Parts parts) {
    List<Object[]> rows = new ArrayList<>();
    for (Accepted one : parts.display().accepted()) {
      rows.add(Table.row(rows.size(), one.identity(), one.code(), one.message(), one.reason()));
    }
    return rows;
  }

  static Accepted read(Row row) throws SQLException {
    return new Accepted(
        row.text("identity"), row.string("code"), row.string("message"), row.string("reason"));
  }
}
