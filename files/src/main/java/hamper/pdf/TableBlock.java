package hamper.pdf;

import hamper.paper.Block;
import hamper.paper.Block.Cell;
import java.io.IOException;
import java.util.List;

/** Draws a table: its head again on each page, texts wrapped, numbers to the right. */
final class TableBlock {
  private static final float GAP = 10;
  private static final float TEXT = Sheets.SMALLEST;

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
    } else {
      sheets.skip(GAP);
    }
    if (table.rows().isEmpty()) {
      sheets.paragraph(table.none(), 0, sheets.width(), SheetPages.TEXT, false);
      return;
    }
    new TableBlock(sheets, table).draw();
  }

  /**
   * As wide as the longest word of each column at least; what is left goes to columns that would
   * like to be wider, and then to all.
   */
  private float[] widths() {
    int count = table.columns().size();
    float room = sheets.width() - GAP * (count - 1);
    float[] wide = new float[count];
    float[] liked = new float[count];
    float least = 0;
    float wish = 0;
    for (int i = 0; i < count; i++) {
      wide[i] = words(table.columns().get(i).head(), true);
      liked[i] = Math.max(wide[i], sheets.textWidth(table.columns().get(i).head(), TEXT, true));
      for (List<Cell> row : table.rows()) {
        String text = row.get(i).text();
        wide[i] = Math.max(wide[i], Math.min(room / 3, words(text, false)));
        liked[i] = Math.max(liked[i], sheets.textWidth(text, TEXT, false));
      }
      liked[i] = Math.max(wide[i], Math.min(room / 2, liked[i]));
      least += wide[i];
      wish += liked[i];
    }
    for (int i = 0; i < count; i++) {
      if (least >= room) {
        wide[i] *= room / least;
      } else if (wish > room) {
        wide[i] += (room - least) * (liked[i] - wide[i]) / (wish - least);
      } else {
        wide[i] = liked[i] * room / wish;
      }
    }
    return wide;
  }

  private float words(String text, boolean bold) {
    float widest = 0;
    for (String word : text.split(" ")) {
      widest = Math.max(widest, sheets.textWidth(word, TEXT, bold));
    }
    return widest + 0.5f;
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
      y += TEXT * Sheets.LEADING;
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
        y += TEXT * Sheets.LEADING;
      }
      x += widths[i] + GAP;
    }
    sheets.skip(height + 2);
    sheets.line(0, sheets.at(), sheets.width(), sheets.at());
    sheets.skip(3);
  }
}
