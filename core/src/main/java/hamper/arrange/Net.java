package hamper.arrange;

import hamper.catalog.PortKind;
import hamper.display.PieceAt;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * How much cable pieces need at least: the shortest net that joins each of their zones to where a
 * wire begins or ends (Prim), and for each further wire that a zone needs, the way from the nearest
 * place that is not in it. Of the cables that come into a zone one is part of the net, and each
 * comes from somewhere.
 */
final class Net {
  private final Map<String, List<PieceAt>> byZone = new HashMap<>();
  private final Yardstick measured;

  /** By zone, how far it is from the nearest place that is joined (m). */
  private final Map<String, Double> far = new HashMap<>();

  private Net(Yardstick measured) {
    this.measured = measured;
  }

  /**
   * @param pieces to be hung
   * @param layout before anything is
   * @return of zones whose distance is known (m)
   */
  static double metres(
      Collection<PieceAt> pieces, Layout layout, PortsNeeded needed, Yardstick measured) {
    Net net = new Net(measured);
    Set<PortKind> kinds = new HashSet<>();
    for (PieceAt at : pieces) {
      at.prop()
          .zone()
          .ifPresent(zone -> net.byZone.computeIfAbsent(zone, id -> new ArrayList<>()).add(at));
      kinds.add(at.piece().portKind());
    }
    List<Board> boards = kinds.stream().flatMap(kind -> layout.boards(kind).stream()).toList();
    Set<String> zones = new HashSet<>(net.byZone.keySet());
    boards.stream()
        .flatMap(board -> board.outlets().stream())
        .flatMap(Outlet::reached)
        .distinct()
        .forEach(end -> net.nearer(zones, end));
    // the cable of a bank brings all its ports
    int together = boards.stream().mapToInt(Board::portsOfACable).max().orElse(1);
    return net.further(needed, together) + net.joined(zones);
  }

  private double further(PortsNeeded needed, int together) {
    double sum = 0;
    for (Map.Entry<String, List<PieceAt>> one : byZone.entrySet()) {
      int wires = PortsNeeded.parts(PortsNeeded.sum(needed.of(one.getValue())), together);
      if (wires > 1) {
        double way = far.getOrDefault(one.getKey(), 0.0);
        for (String other : byZone.keySet()) {
          way = other.equals(one.getKey()) ? way : Math.min(way, between(other, one.getKey()));
        }
        sum += way * (wires - 1);
      }
    }
    return sum;
  }

  private double joined(Set<String> zones) {
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
      nearer(zones, Optional.of(next));
    }
    return sum;
  }

  private void nearer(Set<String> zones, Optional<String> from) {
    for (String zone : zones) {
      far.merge(zone, measured.metres(from, Optional.of(zone)).orElse(0.0), Math::min);
    }
  }

  /** What nobody knows the length of counts nothing: the bound stays one. */
  private double between(String from, String to) {
    return measured.metres(Optional.of(from), Optional.of(to)).orElse(0.0);
  }
}
