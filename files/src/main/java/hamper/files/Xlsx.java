package hamper.files;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Optional;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;

/** A spreadsheet of one sheet. Texts are texts: no cell is ever a formula. */
final class Xlsx {
  private Xlsx() {}

  /**
   * @param rows of texts, numbers, truth values or optional ones of these
   */
  static byte[] write(String title, List<String> header, List<List<?>> rows) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (Workbook book = new Workbook(out, "Hamper", "1.0")) {
      Worksheet sheet = book.newWorksheet(title);
      for (int column = 0; column < header.size(); column++) {
        sheet.value(0, column, header.get(column));
        sheet.style(0, column).bold().set();
      }
      sheet.freezePane(0, 1);
      for (int i = 0; i < rows.size(); i++) {
        for (int column = 0; column < rows.get(i).size(); column++) {
          cell(sheet, i + 1, column, rows.get(i).get(column));
        }
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toByteArray();
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
