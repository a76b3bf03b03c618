package hamper.pdf;

import hamper.paper.WallSheet;
import hamper.paper.WallSheet.Panel;
import java.io.IOException;

/** Draws a wall panel by panel, as it is seen from one side. */
final class WallBlock {
  private static final float MOST_CELL = 150;
  private static final float LEAST_CELL = 26;

  private WallBlock() {}

  static void draw(Sheets sheets, WallSheet wall) throws IOException {
    sheets.skip(8);
    float cell =
        Math.max(LEAST_CELL, Math.min(MOST_CELL, sheets.width() / Math.max(1, wall.columns())));
    for (var row : wall.rows()) {
      sheets.need(cell);
      float y = sheets.at();
      for (int column = 0; column < row.size(); column++) {
        Panel panel = row.get(column);
        float x = column * cell;
        sheets.rectangle(x, y, cell, cell, -1);
        sheets.write("" + panel.number(), x + 4, y + 15, 14, true);
        sheets.write(panel.next().sign(), x + 4, y + cell - 5, 12, true);
        if (!panel.card().isEmpty() && cell > 60) {
          sheets.write(panel.card(), x + 22, y + cell - 5, 10, false);
        }
      }
      sheets.skip(cell);
    }
  }
}
