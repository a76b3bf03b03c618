package hamper.display;

import hamper.value.Require;
import java.util.Locale;

/**
 * How the cells of a grid follow each other, as seen from the front.
 *
 * @param start the corner of the first cell
 * @param lines whether whole rows or whole columns are run through
 * @param serpentine whether every second line runs back
 */
public record GridOrder(Corner start, Lines lines, boolean serpentine) {
  /** Corners as seen from the front. */
  public enum Corner {
    TOP_LEFT(false, false),
    TOP_RIGHT(true, false),
    BOTTOM_LEFT(false, true),
    BOTTOM_RIGHT(true, true);

    private final boolean right;
    private final boolean bottom;

    Corner(boolean right, boolean bottom) {
      this.right = right;
      this.bottom = bottom;
    }
  }

  /** What is run through from end to end. */
  public enum Lines {
    ROWS,
    COLUMNS
  }

  /** A cell: column from 0 at the left, row from 0 at the top. */
  public record Cell(int column, int row) {}

  /** Row by row from the top left, each from the left. */
  public static GridOrder reading() {
    return new GridOrder(Corner.TOP_LEFT, Lines.ROWS, false);
  }

  /** As people say it: "rows from top left, back and forth". */
  public String told() {
    return "%s from %s%s"
        .formatted(
            lines.name().toLowerCase(Locale.ROOT),
            start.name().toLowerCase(Locale.ROOT).replace('_', ' '),
            serpentine ? ", back and forth" : "");
  }

  /**
   * @param cell inside the grid
   * @return its place in the order, from 0
   */
  public int indexOf(Cell cell, int columns, int rows) {
    inside(cell.column(), columns, "column");
    inside(cell.row(), rows, "row");
    int across = start.right ? columns - 1 - cell.column() : cell.column();
    int down = start.bottom ? rows - 1 - cell.row() : cell.row();
    int line = lines == Lines.ROWS ? down : across;
    int along = lines == Lines.ROWS ? across : down;
    int length = lines == Lines.ROWS ? columns : rows;
    return line * length + turned(line, along, length);
  }

  /**
   * @param index from 0
   * @return the cell in that place
   */
  public Cell cellAt(int index, int columns, int rows) {
    inside(index, columns * rows, "index");
    int length = lines == Lines.ROWS ? columns : rows;
    int line = index / length;
    int along = turned(line, index % length, length);
    int across = lines == Lines.ROWS ? along : line;
    int down = lines == Lines.ROWS ? line : along;
    return new Cell(
        start.right ? columns - 1 - across : across, start.bottom ? rows - 1 - down : down);
  }

  private int turned(int line, int along, int length) {
    return serpentine && line % 2 == 1 ? length - 1 - along : along;
  }

  private static void inside(int value, int size, String what) {
    Require.inRange(what, value, 0, size - 1);
  }
}
