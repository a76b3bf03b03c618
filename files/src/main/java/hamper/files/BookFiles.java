package hamper.files;

import hamper.facts.Facts;
import hamper.paper.Beside;
import hamper.paper.Block;
import hamper.paper.Block.Cell;
import hamper.paper.Block.Column;
import hamper.paper.BookTables;
import java.util.ArrayList;
import java.util.List;

/** All of a display as one spreadsheet, a sheet for each table. */
public final class BookFiles {
  private BookFiles() {}

  /**
   * @param version of the display; 0: a file has none
   * @param beside what is known besides the plan
   */
  public static byte[] xlsx(Facts facts, int version, Beside beside) {
    List<Xlsx.Page> pages = new ArrayList<>();
    pages.add(AddressFiles.page(AddressTable.of(facts.plan(), facts.resolution())));
    BookTables.of(facts, version, beside).forEach(table -> pages.add(page(table)));
    return Xlsx.write(pages);
  }

  private static Xlsx.Page page(Block.Table table) {
    return new Xlsx.Page(
        table.title(),
        table.columns().stream().map(Column::head).toList(),
        table.rows().stream().map(row -> row.stream().map(BookFiles::value).toList()).toList());
  }

  private static Object value(Cell cell) {
    return cell.number().<Object>map(number -> number).orElse(cell.text());
  }
}
