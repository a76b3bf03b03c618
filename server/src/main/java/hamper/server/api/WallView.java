package hamper.server.api;

import hamper.display.GridOrder;
import hamper.display.GridOrder.Cell;
import hamper.display.Panels;
import hamper.display.Wall;
import java.util.List;
import java.util.stream.IntStream;

/**
 * What there is to draw of a wall, from the front.
 *
 * @param width pixels across
 * @param height pixels down
 * @param columns of a coarse grid that shows the way through the pixels
 * @param rows of that grid
 * @param way cells of that grid in the order of their addresses
 * @param panelNumbers the place of each panel in the chain, from 1, row by row from the top left;
 *     empty where the wall has no panels
 */
public record WallView(
    int width, int height, int columns, int rows, List<Cell> way, List<Integer> panelNumbers) {
  /** More lines would be a grey field. */
  private static final int MOST_LINES = 6;

  static WallView of(Wall wall) {
    int columns = Math.min(MOST_LINES, wall.width());
    int rows = Math.min(MOST_LINES, wall.height());
    GridOrder order = wall.order();
    List<Cell> way =
        IntStream.range(0, columns * rows).mapToObj(i -> order.cellAt(i, columns, rows)).toList();
    return new WallView(
        wall.width(),
        wall.height(),
        columns,
        rows,
        way,
        wall.panels().map(WallView::panelNumbers).orElse(List.of()));
  }

  private static List<Integer> panelNumbers(Panels panels) {
    return IntStream.range(0, panels.columns() * panels.rows())
        .mapToObj(i -> new Cell(i % panels.columns(), i / panels.columns()))
        .map(cell -> panels.order().indexOf(cell, panels.columns(), panels.rows()) + 1)
        .toList();
  }
}
