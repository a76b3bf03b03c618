package hamper.files;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Optional;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;

/** Spreadsheets. Texts are texts: no cell is ever a formula. */
final class Xlsx {
  private static final int NARROWEST = 8;
  private static final int WIDEST = 60;

  /** Rows beyond these do not widen a column. */
  private static final int MEASURED = 500;

  private Xlsx() {}

  /**
   * A sheet.
   *
   * @param rows of texts, numbers, truth values or optional ones of these
   */
  record Page(String title, List<String> header, List<? extends List<?>> rows) {}

  static byte[] write(String title, List<String> header, List<List<?>> rows) {
    return write(List.of(new Page(title, header, rows)));
  }

  /** Each with a filter on its head, which stays in view, and columns as wide as what they hold. */
  static byte[] write(List<Page> pages) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (Workbook book = new Workbook(out, "Hamper", "1.0")) {
      for (Page page : pages) {
        write(book.newWorksheet(page.title()), page);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toByteArray();
  }

  private static void write(Worksheet sheet, Page page) {
    for (int column = 0; column < page.header().size(); column++) {
      sheet.value(0, column, page.header().get(column));
      sheet.style(0, column).bold().set();
      sheet.width(column, width(page, column));
    }
    sheet.freezePane(0, 1);
    for (int i = 0; i < page.rows().size(); i++) {
      for (int column = 0; column < page.rows().get(i).size(); column++) {
        cell(sheet, i + 1, column, page.rows().get(i).get(column));
      }
    }
    sheet.setAutoFilter(0, 0, page.rows().size(), page.header().size() - 1);
  }

  private static double width(Page page, int column) {
    int letters = page.header().get(column).length() + 3;
    for (List<?> row : page.rows().subList(0, Math.min(MEASURED, page.rows().size()))) {
      letters = Math.max(letters, text(row.get(column)).length() + 1);
    }
    return Math.max(NARROWEST, Math.min(WIDEST, letters));
  }

  private static String text(Object value) {
    return value instanceof Optional<?> optional
        ? optional.map(Object::toString).orElse("")
        : value.toString();
  }

  private static void cell(Worksheet sheet, int row, int column, Object value) {
    if (value instanceof Optional<?> optional) {
      optional.ifPresent(inner -> cell(sheet, row, column, inner));
    } else if (value instanceof Number number) {
      sheet.value(row, column, number);
    } else if (value instanceof Boolean yes) {
      sheet.value(row, column, yes);
    } else {
      sheet.value(row, column, value.toString());
    }
  }
}
