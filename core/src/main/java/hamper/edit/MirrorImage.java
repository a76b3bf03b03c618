package hamper.edit;

import hamper.display.GridOrder;
import hamper.display.GridOrder.Corner;
import hamper.display.Panels;
import java.util.List;
import java.util.Locale;

/** What becomes of things when left and right are exchanged, as seen from the front. */
final class MirrorImage {
  /** Words for the two sides, as people write them at a data-in end. */
  private static final List<List<String>> SIDES =
      List.of(
          List.of("left", "right"),
          List.of("west", "east"),
          List.of("port side", "starboard side"),
          List.of("starboard", "port"));

  private MirrorImage() {}

  static GridOrder of(GridOrder order) {
    Corner corner =
        switch (order.start()) {
          case TOP_LEFT -> Corner.TOP_RIGHT;
          case TOP_RIGHT -> Corner.TOP_LEFT;
          case BOTTOM_LEFT -> Corner.BOTTOM_RIGHT;
          case BOTTOM_RIGHT -> Corner.BOTTOM_LEFT;
        };
    return new GridOrder(corner, order.lines(), order.serpentine());
  }

  static Panels of(Panels panels) {
    return new Panels(
        panels.panelWidth(),
        panels.panelHeight(),
        panels.columns(),
        panels.rows(),
        of(panels.order()),
        panels.cards());
  }

  /** The end of the prop on the other side; a word that names no side stays. */
  static String of(String end) {
    String lower = end.toLowerCase(Locale.ROOT);
    for (List<String> sides : SIDES) {
      for (int i = 0; i < 2; i++) {
        String side = sides.get(i);
        if (lower.equals(side) || lower.startsWith(side + " ") || lower.endsWith(" " + side)) {
          String other = sides.get(1 - i);
          int at = lower.indexOf(side);
          String before = end.substring(0, at);
          String after = end.substring(at + side.length());
          boolean capital = Character.isUpperCase(end.charAt(at));
          return before
              + (capital ? Character.toUpperCase(other.charAt(0)) + other.substring(1) : other)
              + after;
        }
      }
    }
    return end;
  }
}
