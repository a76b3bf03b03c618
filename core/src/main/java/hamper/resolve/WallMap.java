package hamper.resolve;

import hamper.display.GridOrder.Cell;
import hamper.display.Panels;
import hamper.display.Wall;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Which pixel of a wall answers to which address, and which card carries it. Lazy: each question is
 * answered by arithmetic.
 *
 * <p>Source: the addressing rules, "Which pixel shows what": walls add start corner, row or column
 * order and the panels' own order.
 */
public final class WallMap {
  private final Wall wall;
  private final int width;
  private final int height;

  private WallMap(Wall wall) {
    this.wall = wall;
    this.width = wall.width();
    this.height = wall.height();
  }

  public static WallMap of(Wall wall) {
    return new WallMap(wall);
  }

  /**
   * @param pixel column from 0 at the left, row from 0 at the top, as seen from the front
   * @return its address, from 0
   */
  public int addressAt(Cell pixel) {
    return wall.order().indexOf(pixel, width, height);
  }

  /**
   * @param address from 0
   * @return the pixel that answers to it
   */
  public Cell pixelAt(int address) {
    return wall.order().cellAt(address, width, height);
  }

  /** The three channels of a pixel, from 0 at the wall's start. */
  public int[] channelsAt(Cell pixel) {
    int first = addressAt(pixel) * Wall.CHANNELS_PER_PIXEL;
    return new int[] {first, first + 1, first + 2};
  }

  /**
   * @param index of a panel in its chain, from 0
   * @return column and row of the panel, as seen from the front
   */
  public Cell panelAt(int index) {
    Panels panels = panels();
    return panels.order().cellAt(index, panels.columns(), panels.rows());
  }

  /** Column and row of the panel that shows a pixel. */
  public Cell panelOf(Cell pixel) {
    Panels panels = panels();
    return new Cell(pixel.column() / panels.panelWidth(), pixel.row() / panels.panelHeight());
  }

  /** The card that carries a pixel; empty where no output carries its row of panels. */
  public Optional<Panels.Card> cardOf(Cell pixel) {
    int row = panelOf(pixel).row() + 1;
    return panels().cards().stream().filter(card -> card.rows().contains(row)).findFirst();
  }

  /** Lowest and highest address of a card, both included; empty where it carries no row. */
  public Optional<Addresses> addressesOf(Panels.Card card) {
    int panelHeight = panels().panelHeight();
    List<Integer> all =
        card.rows().stream()
            .flatMap(row -> corners((row - 1) * panelHeight, row * panelHeight - 1))
            .map(this::addressAt)
            .toList();
    return all.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new Addresses(
                all.stream().min(Integer::compare).get(),
                all.stream().max(Integer::compare).get()));
  }

  /** Addresses from 0, both included. */
  public record Addresses(int first, int last) {}

  /**
   * The first and last pixel of a band of rows lie at its edges, whichever way it is run through.
   */
  private Stream<Cell> corners(int top, int bottom) {
    return IntStream.rangeClosed(top, bottom)
        .boxed()
        .flatMap(row -> Stream.of(new Cell(0, row), new Cell(width - 1, row)));
  }

  private Panels panels() {
    return wall.panels().orElseThrow(() -> new IllegalStateException("This wall has no panels"));
  }
}
