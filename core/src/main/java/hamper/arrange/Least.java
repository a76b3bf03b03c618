package hamper.arrange;

import hamper.catalog.PortKind;
import hamper.display.PieceAt;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What no way to hang the same pieces can go below.
 *
 * <p>Ports: {@link PortsNeeded}. Controllers: those ports on the controllers with most of them, and
 * the current on the supplies with most left. Cable: {@link Net}.
 *
 * @param controllers on which anything is hung
 * @param another of them, on which nothing hung before
 * @param outlets on which anything is hung
 * @param metres of cable between zones whose distance is known (m)
 */
public record Least(int controllers, int another, int outlets, double metres) {
  /**
   * @param pieces that are hung
   * @param layout before anything is hung
   */
  static Least of(Collection<PieceAt> pieces, Layout layout, Yardstick measured) {
    PortsNeeded ports = new PortsNeeded(pieces, layout);
    Map<PortKind, Integer> needed = ports.of(pieces);
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
    double metres = Net.metres(pieces, layout, ports, measured);
    return new Least(controllers, another, PortsNeeded.sum(needed), metres);
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
}
