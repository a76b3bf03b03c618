package hamper.arrange;

import hamper.catalog.PortKind;
import hamper.display.PieceAt;
import hamper.display.PixelString;
import hamper.display.SlotPiece;
import java.util.Collection;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.Map;

/**
 * How many ports pieces need at least: pixels of a type share none with others, and none takes more
 * than the roomiest, or more than its fuse carries.
 */
final class PortsNeeded {
  private static final int SLOTS = 512;

  /** By pixel type, the most places that any port still takes. */
  private final Map<String, Integer> roomiest = new HashMap<>();

  /**
   * @param pieces all that are asked about
   * @param layout before anything is hung
   */
  PortsNeeded(Collection<PieceAt> pieces, Layout layout) {
    Map<String, Double> leanest = new HashMap<>();
    Map<String, PieceAt> ofType = new HashMap<>();
    Outlet any =
        layout.boards(PortKind.PIXEL).stream()
            .flatMap(board -> board.outlets().stream())
            .findFirst()
            .orElse(null);
    for (PieceAt at : pieces) {
      if (at.piece() instanceof PixelString string) {
        leanest.merge(string.pixelType(), any.fullAmps(at) / string.places(), Math::min);
        ofType.putIfAbsent(string.pixelType(), at);
      }
    }
    ofType.forEach((type, at) -> roomiest.put(type, roomiest(at, leanest.get(type), layout)));
  }

  private static int roomiest(PieceAt at, double ampsAPlace, Layout layout) {
    return layout.boards(PortKind.PIXEL).stream()
        .flatMap(board -> board.outlets().stream())
        .mapToInt(outlet -> outlet.places(at.pixels(), ampsAPlace))
        .max()
        .orElse(1);
  }

  /** Of some of the pieces. */
  Map<PortKind, Integer> of(Collection<PieceAt> some) {
    Map<PortKind, Integer> needed = new EnumMap<>(PortKind.class);
    Map<String, Integer> places = new HashMap<>();
    int slots = 0;
    for (PieceAt at : some) {
      if (at.piece() instanceof PixelString string) {
        places.merge(string.pixelType(), string.places(), Integer::sum);
      } else if (at.piece() instanceof SlotPiece piece) {
        slots += piece.channels();
      } else {
        needed.merge(at.piece().portKind(), 1, Integer::sum);
      }
    }
    places.forEach(
        (type, sum) -> needed.merge(PortKind.PIXEL, parts(sum, roomiest.get(type)), Integer::sum));
    if (slots > 0) {
      needed.merge(PortKind.DMX, parts(slots, SLOTS), Integer::sum);
    }
    return needed;
  }

  static int sum(Map<PortKind, Integer> needed) {
    return needed.values().stream().mapToInt(Integer::intValue).sum();
  }

  /** How many of a size hold a sum. */
  static int parts(int sum, int each) {
    return (sum + each - 1) / Math.max(1, each);
  }
}
