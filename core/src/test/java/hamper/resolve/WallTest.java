package hamper.resolve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hamper.display.GridOrder;
import hamper.display.GridOrder.Cell;
import hamper.display.GridOrder.Corner;
import hamper.display.GridOrder.Lines;
import hamper.display.Panels;
import hamper.display.Wall;
import hamper.value.RefusedException;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Walls worked out by hand: a wall that starts in another corner than was planned shows mirrored.
 */
class WallTest {
  /** 5 × 4 panels of 64 × 32 over two cards, two rows of panels each. */
  private static Wall tideClock(GridOrder order) {
    Panels panels =
        new Panels(
            64,
            32,
            5,
            4,
            new GridOrder(Corner.TOP_RIGHT, Lines.ROWS, true),
            List.of(
                new Panels.Card("upper", List.of(1, 2), 65_536, 60),
                new Panels.Card("lower", List.of(3, 4), 65_536, 60)));
    return new Wall(
        "clock",
        "Tide clock",
        order,
        Optional.of(panels),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty());
  }

  @Test
  void aWallOfFiveByFourPanelsHasItsChannelsAndUniverses() {
    Wall wall = tideClock(GridOrder.reading());
    assertThat(wall.width()).isEqualTo(320);
    assertThat(wall.height()).isEqualTo(128);
    assertThat(wall.pixels()).isEqualTo(40_960);
    assertThat(wall.channels()).isEqualTo(122_880);
    assertThat(wall.universes(510)).isEqualTo(241);
    assertThat(wall.universes(512)).isEqualTo(240);
  }

  @ParameterizedTest(name = "{0} {1}, serpentine {2}: upper {3} to {4}, lower {5} to {6}")
  @CsvSource({
    "TOP_LEFT,     ROWS,    false,     0, 20479, 20480, 40959",
    "TOP_RIGHT,    ROWS,    true,      0, 20479, 20480, 40959",
    "BOTTOM_LEFT,  ROWS,    false, 20480, 40959,     0, 20479",
    "BOTTOM_RIGHT, ROWS,    true,  20480, 40959,     0, 20479",
    "TOP_LEFT,     COLUMNS, false,     0, 40895,    64, 40959",
    "TOP_LEFT,     COLUMNS, true,      0, 40959,    64, 40895",
    "BOTTOM_LEFT,  COLUMNS, false,    64, 40959,     0, 40895",
    "TOP_RIGHT,    COLUMNS, true,      0, 40959,    64, 40895",
  })
  void firstAndLastPixelOfEachCard(
      Corner corner,
      Lines lines,
      boolean serpentine,
      int upperFirst,
      int upperLast,
      int lowerFirst,
      int lowerLast) {
    Wall wall = tideClock(new GridOrder(corner, lines, serpentine));
    WallMap map = WallMap.of(wall);
    List<Panels.Card> cards = wall.panels().orElseThrow().cards();
    assertThat(map.addressesOf(cards.get(0)))
        .contains(new WallMap.Addresses(upperFirst, upperLast));
    assertThat(map.addressesOf(cards.get(1)))
        .contains(new WallMap.Addresses(lowerFirst, lowerLast));
  }

  /** A grid of 4 × 3: the address of each pixel, row by row from the top left, by hand. */
  @ParameterizedTest(name = "{0} {1}, serpentine {2}")
  @CsvSource({
    "TOP_LEFT,     ROWS,    false, 0 1 2 3 4 5 6 7 8 9 10 11",
    "TOP_LEFT,     ROWS,    true,  0 1 2 3 7 6 5 4 8 9 10 11",
    "TOP_RIGHT,    ROWS,    false, 3 2 1 0 7 6 5 4 11 10 9 8",
    "TOP_RIGHT,    ROWS,    true,  3 2 1 0 4 5 6 7 11 10 9 8",
    "BOTTOM_LEFT,  ROWS,    false, 8 9 10 11 4 5 6 7 0 1 2 3",
    "BOTTOM_LEFT,  ROWS,    true,  8 9 10 11 7 6 5 4 0 1 2 3",
    "BOTTOM_RIGHT, ROWS,    false, 11 10 9 8 7 6 5 4 3 2 1 0",
    "BOTTOM_RIGHT, ROWS,    true,  11 10 9 8 4 5 6 7 3 2 1 0",
    "TOP_LEFT,     COLUMNS, false, 0 3 6 9 1 4 7 10 2 5 8 11",
    "TOP_LEFT,     COLUMNS, true,  0 5 6 11 1 4 7 10 2 3 8 9",
    "TOP_RIGHT,    COLUMNS, false, 9 6 3 0 10 7 4 1 11 8 5 2",
    "TOP_RIGHT,    COLUMNS, true,  11 6 5 0 10 7 4 1 9 8 3 2",
    "BOTTOM_LEFT,  COLUMNS, false, 2 5 8 11 1 4 7 10 0 3 6 9",
    "BOTTOM_LEFT,  COLUMNS, true,  2 3 8 9 1 4 7 10 0 5 6 11",
    "BOTTOM_RIGHT, COLUMNS, false, 11 8 5 2 10 7 4 1 9 6 3 0",
    "BOTTOM_RIGHT, COLUMNS, true,  9 8 3 2 10 7 4 1 11 6 5 0",
  })
  void everyCornerAndOrder(Corner corner, Lines lines, boolean serpentine, String expected) {
    GridOrder order = new GridOrder(corner, lines, serpentine);
    StringBuilder told = new StringBuilder();
    for (int row = 0; row < 3; row++) {
      for (int column = 0; column < 4; column++) {
        int index = order.indexOf(new Cell(column, row), 4, 3);
        told.append(told.isEmpty() ? "" : " ").append(index);
        assertThat(order.cellAt(index, 4, 3)).isEqualTo(new Cell(column, row));
      }
    }
    assertThat(told.toString()).isEqualTo(expected);
  }

  @Test
  void panelsFollowEachOtherInTheirOwnOrderAsSeenFromTheFront() {
    WallMap map = WallMap.of(tideClock(GridOrder.reading()));
    assertThat(map.panelAt(0)).isEqualTo(new Cell(4, 0));
    assertThat(map.panelAt(4)).isEqualTo(new Cell(0, 0));
    assertThat(map.panelAt(5)).isEqualTo(new Cell(0, 1));
    assertThat(map.panelAt(19)).isEqualTo(new Cell(4, 3));
    assertThat(map.panelOf(new Cell(64, 31))).isEqualTo(new Cell(1, 0));
    assertThat(map.cardOf(new Cell(0, 63)).orElseThrow().name()).isEqualTo("upper");
    assertThat(map.cardOf(new Cell(0, 64)).orElseThrow().name()).isEqualTo("lower");
    assertThat(map.channelsAt(new Cell(1, 1))).containsExactly(963, 964, 965);
  }

  @Test
  void aScreenHasAsManySquarePixelsAsFit() {
    Wall screen = Wall.screen("sail", "Sail", new Wall.Size(1100, 600), 6);
    assertThat(screen.width()).isEqualTo(183);
    assertThat(screen.height()).isEqualTo(100);
    assertThat(screen.channels()).isEqualTo(54_900);
    assertThat(screen.universes(510)).isEqualTo(108);
    assertThat(screen.universes(512)).isEqualTo(108);
    assertThat(WallMap.of(screen).pixelAt(18_299)).isEqualTo(new Cell(182, 99));
    assertThat(Wall.screen("s", "s", new Wall.Size(1200, 6), 6).width()).isEqualTo(200);
  }

  @Test
  void aWallWithoutASizeAndARowOnTwoOutputsAreRefused() {
    assertThatThrownBy(
            () ->
                new Wall(
                    "w",
                    "w",
                    GridOrder.reading(),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.of(6.0),
                    Optional.empty()))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("panels, or a resolution, or a size and a pitch");
    assertThatThrownBy(
            () ->
                new Panels(
                    8,
                    8,
                    1,
                    1,
                    GridOrder.reading(),
                    List.of(new Panels.Card("a", List.of(1, 1), 100, 60))))
        .hasMessageContaining("one output carries a row of panels");
  }
}
