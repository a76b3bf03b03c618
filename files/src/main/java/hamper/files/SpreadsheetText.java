package hamper.files;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * Rows of cells as a spreadsheet pastes or saves them: tabs, semicolons or commas, any line ends,
 * with or without a byte order mark, cells in quotation marks (RFC 4180).
 *
 * @param rows without those in which every cell is empty
 */
record SpreadsheetText(List<Row> rows) {
  /**
   * @param number as the spreadsheet shows it, from 1
   * @param cells without blanks at their ends
   */
  record Row(int number, List<String> cells) {}

  private static final char BYTE_ORDER_MARK = '\uFEFF';

  /**
   * @throws BadFileException where it is not text in UTF-8, or quotation marks do not match
   */
  static SpreadsheetText read(byte[] bytes) {
    String text = decode(bytes);
    CSVFormat format =
        CSVFormat.RFC4180
            .builder()
            .setDelimiter(separator(text))
            .setIgnoreSurroundingSpaces(true)
            .setIgnoreEmptyLines(false)
            .get();
    List<Row> rows = new ArrayList<>();
    try (CSVParser parser = CSVParser.parse(text, format)) {
      for (CSVRecord record : parser) {
        List<String> cells = record.stream().map(String::strip).toList();
        if (cells.stream().anyMatch(cell -> !cell.isEmpty())) {
          rows.add(new Row((int) record.getRecordNumber(), cells));
        }
      }
    } catch (IOException | UncheckedIOException e) {
      int read = rows.isEmpty() ? 0 : rows.get(rows.size() - 1).number();
      throw BadFileException.of(
          "row " + (read + 1), "a quotation mark is not closed, or text follows a closed one");
    }
    return new SpreadsheetText(rows);
  }

  private static String decode(byte[] bytes) {
    try {
      String text = StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(bytes)).toString();
      return !text.isEmpty() && text.charAt(0) == BYTE_ORDER_MARK ? text.substring(1) : text;
    } catch (CharacterCodingException e) {
      throw BadFileException.of("file", "it is not text in UTF-8; save it as CSV in UTF-8");
    }
  }

  /** Of the first line: a tab if there is one, else what there is more of. */
  private static char separator(String text) {
    String first = text.lines().filter(line -> !line.isBlank()).findFirst().orElse("");
    if (first.indexOf('\t') >= 0) {
      return '\t';
    }
    long semicolons = first.chars().filter(c -> c == ';').count();
    long commas = first.chars().filter(c -> c == ',').count();
    return semicolons > commas ? ';' : ',';
  }
}
