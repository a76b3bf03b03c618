package hamper.arrange;

import hamper.catalog.PortKind;
import hamper.display.PieceAt;
import hamper.display.PixelString;
import hamper.display.SlotPiece;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What no way to hang the same pieces can go below.
 *
 * <p>Ports: pixels of a type share no port with others, and none takes more than the roomiest, or
 * more than its fuse carries. Controllers: the ports that are needed at least on the controllers
 * with most of them, and the current on the supplies with most left. Cable: the wires that reach
 * the pieces' zones join each of them to a controller or to a wire that is there already, and the
 * shortest net that does so is no longer than they are.
 *
 * @param controllers on which anything is hung
 * @param another of them, on which nothing hung before
 * @param outlets on which anything is hung
 * @param metres of cable between zones whose distance is known (m)
 */
public record Least(int controllers, int another, int outlets, double metres) {
  private static final int SLOTS = 512;

  /**
   * @param pieces that are hung
   * @param layout before anything is hung
   */
  static Least of(Collection<PieceAt> pieces, Layout layout, Yardstick measured) {
    Map<PortKind, Integer> needed = needed(pieces, layout);
    int controllers = pieces.isEmpty() ? 0 : 1;
    int another = 0;
    for (Map.Entry<PortKind, Integer> one : needed.entrySet()) {
      List<Integer> all = new ArrayList<>();
      List<Integer> fresh = new ArrayList<>();
      int there = 0;
      for (Board board : layout.boards(one.getKey())) {
        all.add(board.outlets().size());
        if (layout.isUsed(board.controller().id())) {
          there += board.outlets().size();
        } else {
          fresh.add(board.outlets().size());
        }
      }
      controllers = Math.max(controllers, fewest(all, one.getValue()));
      another = Math.max(another, fewest(fresh, one.getValue() - there));
    }
    Optional<Outlet> dimmest =
        layout.boards(PortKind.PIXEL).stream()
            .flatMap(board -> board.outlets().stream())
            .min(Comparator.comparingInt(Outlet::percent));
    double amps =
        pieces.stream()
            .mapToDouble(at -> dimmest.map(outlet -> outlet.plannedAmps(at)).orElse(0.0))
            .sum();
    controllers = Math.max(controllers, fewestSupplies(amps, layout, true));
    another = Math.max(another, fewestSupplies(amps, layout, false));
    int outlets = needed.values().stream().mapToInt(Integer::intValue).sum();
    return new Least(controllers, another, outlets, net(pieces, layout, measured));
  }

  /** How many of the largest add up to as many. */
  private static int fewest(List<Integer> sizes, int wanted) {
    sizes.sort(Comparator.reverseOrder());
    int left = wanted;
    int count = 0;
    while (left > 0 && count < sizes.size()) {
      left -= sizes.get(count);
      count++;
    }
    return count;
  }

  /**
   * On how many supplies so much current has to be shared out.
   *
   * @param all whether those of controllers count on which something hangs
   */
  private static int fewestSupplies(double amps, Layout layout, boolean all) {
    List<Double> left = new ArrayList<>();
    double wanted = amps;
    for (Board board : layout.boards(PortKind.PIXEL)) {
      double amount = layout.amps(board.controller());
      // what gives too much already is told already: more on it would bring nothing new
      double there = amount < 0 ? Double.MAX_VALUE : amount;
      if (all || !layout.isUsed(board.controller().id())) {
        left.add(there);
      } else {
        wanted -= there;
      }
    }
    left.sort(Comparator.reverseOrder());
    int count = 0;
    while (wanted > 1e-6 && count < left.size()) {
      wanted -= left.get(count);
      count++;
    }
    return count;
  }

  private static Map<PortKind, Integer> needed(Collection<PieceAt> pieces, Layout layout) {
    Map<String, Integer> places = new HashMap<>();
    Map<String, Integer> roomiest = new HashMap<>();
    Map<PortKind, Integer> needed = new EnumMap<>(PortKind.class);
    Map<String, Double> leanest = new HashMap<>();
    Outlet any =
        layout.boards(PortKind.PIXEL).stream()
            .flatMap(board -> board.outlets().stream())
            .findFirst()
            .orElse(null);
    for (PieceAt at : pieces) {
      if (at.piece() instanceof PixelString string) {
        leanest.merge(string.pixelType(), any.fullAmps(at) / string.places(), Math::min);
      }
    }
    int slots = 0;
    for (PieceAt at : pieces) {
      if (at.piece() instanceof PixelString string) {
        String type = string.pixelType();
        places.merge(type, string.places(), Integer::sum);
        roomiest.computeIfAbsent(type, id -> roomiest(at, leanest.get(id), layout));
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

  private static int parts(int sum, int each) {
    return (sum + each - 1) / Math.max(1, each);
  }

  private static int roomiest(PieceAt at, double ampsAPlace, Layout layout) {
    return layout.boards(PortKind.PIXEL).stream()
        .flatMap(board -> board.outlets().stream())
        .mapToInt(outlet -> outlet.places(at.pixels(), ampsAPlace))
        .max()
        .orElse(1);
  }

  /** The shortest net that joins each zone of the pieces to where a wire begins or ends (Prim). */
  private static double net(Collection<PieceAt> pieces, Layout layout, Yardstick measured) {
    Set<String> zones = new HashSet<>();
    Set<PortKind> kinds = new HashSet<>();
    for (PieceAt at : pieces) {
      at.prop().zone().ifPresent(zones::add);
      kinds.add(at.piece().portKind());
    }
    Map<String, Double> far = new HashMap<>();
    kinds.stream()
        .flatMap(kind -> layout.boards(kind).stream())
        .flatMap(board -> board.outlets().stream())
        .flatMap(Outlet::reached)
        .distinct()
        .forEach(end -> nearer(far, zones, end, measured));
    double sum = 0;
    while (!zones.isEmpty()) {
      String next =
          zones.stream()
              .min(
                  Comparator.comparingDouble((String zone) -> far.getOrDefault(zone, 0.0))
                      .thenComparing(Comparator.naturalOrder()))
              .orElseThrow();
      sum += far.getOrDefault(next, 0.0);
      zones.remove(next);
      nearer(far, zones, Optional.of(next), measured);
    }
    return sum;
  }

  /** What nobody knows the length of counts nothing: the bound stays one. */
  private static void nearer(
      Map<String, Double> far, Set<String> zones, Optional<String> from, Yardstick measured) {
    for (String zone : zones) {
      double metres = measured.metres(from, Optional.of(zone)).orElse(0.0);
      far.merge(zone, metres, Math::min);
    }
  }
}
