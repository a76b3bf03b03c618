package hamper.pdf;

import hamper.paper.Block;
import hamper.paper.Block.Cell;
import hamper.paper.Block.Column;
import java.io.IOException;
import java.util.List;

/** Draws a table: its head again on each page, texts wrapped, numbers to the right. */
final class TableBlock {
  private static final float GAP = 6;
  private static final float TEXT = Sheets.SMALLEST;
  private static final float LEADING = 1.32f;

  private final Sheets sheets;
  private final Block.Table table;
  private final float[] widths;

  private TableBlock(Sheets sheets, Block.Table table) {
    this.sheets = sheets;
    this.table = table;
    widths = widths();
  }

  static void draw(Sheets sheets, Block.Table table) throws IOException {
    if (!table.title().isEmpty()) {
      sheets.heading(table.title());
    }
    if (table.rows().isEmpty()) {
      sheets.paragraph(table.none(), 0, sheets.width(), SheetPages.TEXT, false);
      return;
    }
    new TableBlock(sheets, table).draw();
  }

  /** By share, but wide enough for the longest word of each head, as long as there is room. */
  private float[] widths() {
    List<Column> columns = table.columns();
    float room = sheets.width() - GAP * (columns.size() - 1);
    float[] least = new float[columns.size()];
    float sum = 0;
    int shares = 0;
    for (int i = 0; i < least.length; i++) {
      for (String word : columns.get(i).head().split(" ")) {
        least[i] = Math.max(least[i], sheets.textWidth(word, TEXT, true));
      }
      sum += least[i];
      shares += columns.get(i).share();
    }
    float over = Math.max(0, room - sum);
    float[] wide = new float[least.length];
    for (int i = 0; i < wide.length; i++) {
      wide[i] = sum > room ? room / wide.length : least[i] + over * columns.get(i).share() / shares;
    }
    return wide;
  }

  private void draw() throws IOException {
    head();
    for (List<Cell> row : table.rows()) {
      float height = 0;
      for (int i = 0; i < widths.length; i++) {
        height = Math.max(height, sheets.height(row.get(i).text(), widths[i], TEXT, false));
      }
      if (sheets.turned(height + 4)) {
        head();
      }
      float top = sheets.at();
      float x = 0;
      for (int i = 0; i < widths.length; i++) {
        cell(row.get(i), x, top, widths[i]);
        x += widths[i] + GAP;
      }
      sheets.skip(top + height + 2 - sheets.at());
      sheets.thinLine(0, sheets.at(), sheets.width(), sheets.at());
      sheets.skip(2);
    }
  }

  private void cell(Cell cell, float x, float top, float width) throws IOException {
    float y = top;
    for (String line : sheets.lines(cell.text(), TEXT, false, width)) {
      float indent = cell.number().isPresent() ? width - sheets.textWidth(line, TEXT, false) : 0;
      sheets.write(line, x + Math.max(0, indent), y + TEXT, TEXT, false);
      y += TEXT * LEADING;
    }
  }

  private boolean hasNumbers(int column) {
    return table.rows().get(0).get(column).number().isPresent();
  }

  private void head() throws IOException {
    float height = 0;
    for (int i = 0; i < widths.length; i++) {
      height =
          Math.max(height, sheets.height(table.columns().get(i).head(), widths[i], TEXT, true));
    }
    sheets.need(height + 24);
    float top = sheets.at();
    float x = 0;
    for (int i = 0; i < widths.length; i++) {
      float y = top;
      for (String line : sheets.lines(table.columns().get(i).head(), TEXT, true, widths[i])) {
        float indent = hasNumbers(i) ? widths[i] - sheets.textWidth(line, TEXT, true) : 0;
        sheets.write(line, x + Math.max(0, indent), y + TEXT, TEXT, true);
        y += TEXT * LEADING;
      }
      x += widths[i] + GAP;
    }
    sheets.skip(height + 2);
    sheets.line(0, sheets.at(), sheets.width(), sheets.at());
    sheets.skip(3);
  }
}
