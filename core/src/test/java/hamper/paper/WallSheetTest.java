package hamper.paper;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.display.GridOrder;
import hamper.display.Panels;
import hamper.display.Wall;
import hamper.paper.WallSheet.Arrow;
import hamper.paper.WallSheet.Panel;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** A wall from behind is the mirror image of the wall from the front, whatever its order. */
class WallSheetTest {
  private static final Map<Arrow, Arrow> TURNED =
      Map.of(
          Arrow.LEFT,
          Arrow.RIGHT,
          Arrow.RIGHT,
          Arrow.LEFT,
          Arrow.UP,
          Arrow.UP,
          Arrow.DOWN,
          Arrow.DOWN,
          Arrow.FAR,
          Arrow.FAR,
          Arrow.END,
          Arrow.END);

  private static WallSheet sheet(GridOrder order, int columns, int rows) {
    GridOrder pixels =
        new GridOrder(GridOrder.Corner.values()[0], GridOrder.Lines.values()[0], true);
    Panels panels =
        new Panels(
            8, 4, columns, rows, order, List.of(new Panels.Card("upper", List.of(1), 1_000, 60)));
    return WallSheet.front(
        "Wall",
        new Wall(
            "w",
            "wall",
            pixels,
            Optional.of(panels),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty()));
  }

  @Test
  void overAllCornersAndOrders() {
    for (GridOrder.Corner corner : GridOrder.Corner.values()) {
      for (GridOrder.Lines lines : GridOrder.Lines.values()) {
        for (boolean serpentine : new boolean[] {false, true}) {
          GridOrder order = new GridOrder(corner, lines, serpentine);
          for (int columns = 1; columns <= 5; columns++) {
            for (int rows = 1; rows <= 4; rows++) {
              mirrored(sheet(order, columns, rows), columns, rows);
            }
          }
        }
      }
    }
  }

  private static void mirrored(WallSheet front, int columns, int rows) {
    WallSheet behind = front.fromBehind();
    assertThat(behind.behind()).isTrue();
    for (int row = 0; row < rows; row++) {
      for (int column = 0; column < columns; column++) {
        Panel here = front.rows().get(row).get(column);
        Panel there = behind.rows().get(row).get(columns - 1 - column);
        assertThat(there.number()).isEqualTo(here.number());
        assertThat(there.card()).isEqualTo(here.card()).isEqualTo(row == 0 ? "upper" : "");
        assertThat(there.next()).isEqualTo(TURNED.get(here.next()));
        leads(front, row, column);
        leads(behind, row, column);
      }
    }
    assertThat(behind.fromBehind()).isEqualTo(front);
  }

  /** An arrow leads to the panel of the next number. */
  private static void leads(WallSheet sheet, int row, int column) {
    Panel here = sheet.rows().get(row).get(column);
    int down = here.next() == Arrow.DOWN ? 1 : here.next() == Arrow.UP ? -1 : 0;
    int across = here.next() == Arrow.RIGHT ? 1 : here.next() == Arrow.LEFT ? -1 : 0;
    if (down != 0 || across != 0) {
      Panel next = sheet.rows().get(row + down).get(column + across);
      assertThat(next.number()).isEqualTo(here.number() + 1);
    }
  }
}
