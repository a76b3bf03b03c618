package hamper.files;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.stream.Stream;
import org.apache.commons.compress.archivers.zip.ZipArchiveEntry;
import org.apache.commons.compress.archivers.zip.ZipFile;
import org.apache.commons.compress.utils.SeekableInMemoryByteChannel;
import org.dhatim.fastexcel.reader.Cell;
import org.dhatim.fastexcel.reader.CellType;
import org.dhatim.fastexcel.reader.ReadableWorkbook;

/** The rows of the first sheet of a workbook, as texts; formulas count as what they last gave. */
final class XlsxRows {
  /** What a workbook may unpack to: a bomb is put out before it is read. */
  private static final long MOST_UNPACKED = 200L << 20;

  private XlsxRows() {}

  /** Whether a file is a workbook, and no text. */
  static boolean is(byte[] bytes) {
    return bytes.length > 4 && bytes[0] == 'P' && bytes[1] == 'K' && bytes[2] == 3;
  }

  /**
   * @param mostRows that are made; there may be more
   * @throws BadFileException where it is no workbook, or more than is allowed
   */
  static SpreadsheetText read(byte[] bytes, int mostRows) {
    weigh(bytes);
    List<SpreadsheetText.Row> rows = new ArrayList<>();
    int[] total = {0};
    try (ReadableWorkbook book = new ReadableWorkbook(new ByteArrayInputStream(bytes));
        Stream<org.dhatim.fastexcel.reader.Row> all = book.getFirstSheet().openStream()) {
      all.forEach(
          row -> {
            List<String> cells = new ArrayList<>();
            for (int i = 0; i < Math.min(row.getCellCount(), SpreadsheetText.MOST_CELLS); i++) {
              cells.add(text(row.getRowNum(), row.getCell(i)));
            }
            if (cells.stream().anyMatch(cell -> !cell.isEmpty())) {
              total[0]++;
              if (rows.size() < mostRows) {
                rows.add(new SpreadsheetText.Row(row.getRowNum(), List.copyOf(cells)));
              }
            }
          });
    } catch (BadFileException e) {
      throw e;
    } catch (IOException | RuntimeException e) {
      throw BadFileException.of(
          "file", "it looks like a workbook and cannot be read; save it anew as XLSX, or as CSV");
    }
    return new SpreadsheetText(total[0], rows);
  }

  private static void weigh(byte[] bytes) {
    long unpacked = 0;
    byte[] buffer = new byte[1 << 16];
    try (ZipFile zip =
        ZipFile.builder().setSeekableByteChannel(new SeekableInMemoryByteChannel(bytes)).get()) {
      for (ZipArchiveEntry entry : Collections.list(zip.getEntries())) {
        try (InputStream in = zip.getInputStream(entry)) {
          for (int n = in.read(buffer); n > 0; n = in.read(buffer)) {
            unpacked += n;
            if (unpacked > MOST_UNPACKED) {
              throw BadFileException.of(
                  "file",
                  "it unpacks to more than %d MB; keep the sheet that is planned here, and save it as CSV"
                      .formatted(MOST_UNPACKED >> 20));
            }
          }
        }
      }
    } catch (IOException | IllegalArgumentException e) {
      throw BadFileException.of(
          "file", "it looks like a workbook and cannot be unpacked; save it anew as XLSX or CSV");
    }
  }

  private static String text(int row, Cell cell) {
    if (cell == null || cell.getType() == CellType.EMPTY || cell.getType() == CellType.ERROR) {
      return "";
    }
    String text =
        cell.getType() == CellType.NUMBER && cell.getValue() instanceof BigDecimal number
            ? number.stripTrailingZeros().toPlainString()
            : String.valueOf(cell.getValue() == null ? cell.getText() : cell.getValue()).strip();
    if (text.length() > SpreadsheetText.LONGEST_CELL) {
      throw BadFileException.of(
          "row " + row,
          "a cell of %,d characters; allowed are %,d. Shorten it"
              .formatted(text.length(), SpreadsheetText.LONGEST_CELL));
    }
    return text;
  }
}
