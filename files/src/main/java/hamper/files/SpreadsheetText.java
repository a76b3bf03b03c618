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
 * @param total rows there are, without those in which every cell is empty
 * @param rows the first of them
 */
record SpreadsheetText(int total, List<Row> rows) {
  /**
   * @param number as the spreadsheet shows it, from 1
   * @param cells without blanks at their ends
   */
  record Row(int number, List<String> cells) {}

  /** Most lines, with something in them or not. */
  private static final int MOST_LINES = 500_000;

  /** Most cells of a row. */
  static final int MOST_CELLS = 100;

  /** Longest text of a cell, in characters. */
  static final int LONGEST_CELL = 1000;

  private static final char BYTE_ORDER_MARK = '\uFEFF';

  /**
   * @param mostRows that are made; there may be more
   * @throws BadFileException where it is not text in UTF-8, quotation marks do not match, or it is
   *     more than is allowed
   */
  static SpreadsheetText read(byte[] bytes, int mostRows) {
    String text = decode(bytes);
    SpreadsheetSize size = SpreadsheetSize.of(text, separator(text));
    check(size);
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
        if (rows.size() == mostRows) {
          break;
        }
      }
    } catch (IOException | UncheckedIOException e) {
      int read = rows.isEmpty() ? 0 : rows.get(rows.size() - 1).number();
      throw BadFileException.of(
          "row " + (read + 1), "a quotation mark is not closed, or text follows a closed one");
    }
    return new SpreadsheetText(size.rows(), rows);
  }

  private static void check(SpreadsheetSize size) {
    if (size.lines() > MOST_LINES) {
      throw BadFileException.of(
          "file",
          "%,d lines; allowed are %,d. Leave out the empty ones, or split it in several files"
              .formatted(size.lines(), MOST_LINES));
    }
    if (size.widest().value() > MOST_CELLS) {
      throw BadFileException.of(
          "row " + size.widest().row(),
          "%,d cells; allowed are %,d. Leave out what is not planned here"
              .formatted(size.widest().value(), MOST_CELLS));
    }
    if (size.longest().value() > LONGEST_CELL) {
      throw BadFileException.of(
          "row " + size.longest().row(),
          "a cell of %,d characters; allowed are %,d. Shorten it, or close its quotation mark"
              .formatted(size.longest().value(), LONGEST_CELL));
    }
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
