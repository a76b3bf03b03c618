package hamper.display;

import hamper.value.Require;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * LED panels that make up a wall.
 *
 * @param panelWidth pixels of one panel
 * @param panelHeight pixels of one panel
 * @param columns panels side by side
 * @param rows panels above each other
 * @param order in which the panels are chained, as seen from the front
 * @param cards the cards that drive them; each output of a card carries one row of panels
 */
public record Panels(
    int panelWidth, int panelHeight, int columns, int rows, GridOrder order, List<Card> cards) {
  /**
   * A panel card.
   *
   * @param rows the row of panels that each of its outputs carries, from 1 at the top
   * @param mostPixels its capacity
   * @param refreshHertz frames a second that it shows (1/s)
   */
  public record Card(String name, List<Integer> rows, int mostPixels, double refreshHertz) {
    public Card {
      Require.name("name", name);
      rows = List.copyOf(rows);
      Require.inRange("mostPixels", mostPixels, 1, 10_000_000);
      Require.inRange("refreshHertz", refreshHertz, 1, 10_000);
    }
  }

  public Panels {
    Require.inRange("panelWidth", panelWidth, 1, 1024);
    Require.inRange("panelHeight", panelHeight, 1, 1024);
    Require.inRange("columns", columns, 1, 100);
    Require.inRange("rows", rows, 1, 100);
    cards = List.copyOf(cards);
    Set<Integer> carried = new HashSet<>();
    for (Card card : cards) {
      for (int row : card.rows()) {
        Require.inRange("cards.rows", row, 1, rows);
        Require.that(carried.add(row), "cards.rows", row, "one output carries a row of panels");
      }
    }
  }

  public int width() {
    return columns * panelWidth;
  }

  public int height() {
    return rows * panelHeight;
  }

  /** Pixels that a card drives. */
  public int pixelsOf(Card card) {
    return card.rows().size() * width() * panelHeight;
  }
}
