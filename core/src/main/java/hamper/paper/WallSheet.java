package hamper.paper;

import hamper.display.GridOrder;
import hamper.display.Panels;
import hamper.display.Wall;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;

/**
 * A wall panel by panel, as it is seen from one side.
 *
 * @param piece its id
 * @param columns of panels; a wall without panels is one
 * @param behind whether it is seen from behind
 * @param rows from the top, each from the left as it is seen
 */
public record WallSheet(
    String piece, String title, int columns, boolean behind, List<List<Panel>> rows)
    implements Block {
  /**
   * A panel.
   *
   * @param number in data order, from 1
   * @param next where the data goes from it
   * @param card the name of the card output that its row hangs on; empty where there is none
   */
  public record Panel(int number, Arrow next, String card) {
    /** In one line: its number, and where the data goes. */
    public String told() {
      return number + " " + next.sign() + (card.isEmpty() ? "" : " " + card);
    }
  }

  /** The way of data to the next panel, as it is seen. */
  public enum Arrow {
    LEFT("←"),
    RIGHT("→"),
    UP("↑"),
    DOWN("↓"),
    /** To the far end of the next row or column. */
    FAR("↯"),
    /** It is the last. */
    END("■");

    private final String sign;

    Arrow(String sign) {
      this.sign = sign;
    }

    public String sign() {
      return sign;
    }

    Arrow mirrored() {
      return this == LEFT ? RIGHT : this == RIGHT ? LEFT : this;
    }
  }

  public WallSheet {
    rows = rows.stream().map(List::copyOf).toList();
  }

  /** From the front. */
  public static WallSheet front(String title, Wall wall) {
    int columns = wall.panels().map(Panels::columns).orElse(1);
    int rows = wall.panels().map(Panels::rows).orElse(1);
    GridOrder order = wall.panels().map(Panels::order).orElse(wall.order());
    List<List<Panel>> all = new ArrayList<>();
    for (int row = 0; row < rows; row++) {
      List<Panel> line = new ArrayList<>();
      for (int column = 0; column < columns; column++) {
        int place = order.indexOf(new GridOrder.Cell(column, row), columns, rows);
        line.add(
            new Panel(place + 1, arrow(order, place, columns, rows), cardOf(wall.panels(), row)));
      }
      all.add(line);
    }
    return new WallSheet(wall.id(), title, columns, false, all);
  }

  private static Arrow arrow(GridOrder order, int place, int columns, int rows) {
    if (place + 1 >= columns * rows) {
      return Arrow.END;
    }
    GridOrder.Cell here = order.cellAt(place, columns, rows);
    GridOrder.Cell next = order.cellAt(place + 1, columns, rows);
    int across = next.column() - here.column();
    int down = next.row() - here.row();
    if (Math.abs(across) + Math.abs(down) != 1) {
      return Arrow.FAR;
    }
    return across > 0 ? Arrow.RIGHT : across < 0 ? Arrow.LEFT : down > 0 ? Arrow.DOWN : Arrow.UP;
  }

  private static String cardOf(Optional<Panels> panels, int row) {
    return panels.stream()
        .flatMap(all -> all.cards().stream())
        .filter(card -> card.rows().contains(row + 1))
        .map(Panels.Card::name)
        .findFirst()
        .orElse("");
  }

  /** As whoever stands behind it sees it: left and right changed, above and below not. */
  public WallSheet fromBehind() {
    List<List<Panel>> turned = new ArrayList<>();
    for (List<Panel> row : rows) {
      List<Panel> line = new ArrayList<>();
      for (Panel one : row) {
        line.add(new Panel(one.number(), one.next().mirrored(), one.card()));
      }
      Collections.reverse(line);
      turned.add(line);
    }
    return new WallSheet(piece, title, columns, !behind, turned);
  }
}
