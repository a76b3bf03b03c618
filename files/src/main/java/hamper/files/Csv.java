package hamper.files;

import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** CSV as spreadsheets read it (RFC 4180). No cell ever starts a formula. */
final class Csv {
  private static final String STARTS_FORMULA = "=+-@\t\r";

  private Csv() {}

  /**
   * @param rows of texts, numbers, truth values or optional ones of these
   */
  static String write(List<String> header, List<List<?>> rows) {
    StringWriter out = new StringWriter();
    CSVFormat format = CSVFormat.RFC4180.builder().setHeader(header.toArray(String[]::new)).get();
    try (CSVPrinter printer = new CSVPrinter(out, format)) {
      for (List<?> row : rows) {
        printer.printRecord(row.stream().map(Csv::cell).toList());
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toString();
  }

  private static Object cell(Object value) {
    if (value instanceof Optional<?> optional) {
      return optional.map(Csv::cell).orElse("");
    }
    if (value instanceof String text
        && !text.isEmpty()
        && STARTS_FORMULA.indexOf(text.charAt(0)) >= 0) {
      return "'" + text;
    }
    return value;
  }
}
