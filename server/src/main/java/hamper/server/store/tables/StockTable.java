package hamper.server.store.tables;

import hamper.display.Workshop.Stock;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;

/** What is in stock. */
final class StockTable {
  static final Table TABLE =
      new Table("stock", 1, List.of("place", "article", "pieces"), StockTable::rows);

  private StockTable() {}

  private static List<Object[]> rows(Parts parts) {
    List<Object[]> rows = new ArrayList<>();
    for (Stock one : parts.display().workshop().stock()) {
      rows.add(Table.row(rows.size(), one.article(), one.count()));
    }
    return rows;
  }

  static Stock read(Row row) throws SQLException {
    return new Stock(row.string("article"), row.integer("pieces"));
  }
}
