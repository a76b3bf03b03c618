package hamper.arrange;

import hamper.display.HungLeg;
import hamper.display.Piece;
import hamper.display.PieceAt;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.Prop;
import hamper.display.SlotPiece;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.TreeMap;

/** What hangs where of a prop, of its twins and of its zone, and what a place costs beside them. */
final class Neighbours {
  /** Two that belong together, the first before the second. */
  private record Pair(Optional<PortRef> before, Optional<PortRef> after) {
    static final Pair NONE = new Pair(Optional.empty(), Optional.empty());
  }

  private final Twins twins;
  private final Map<String, Integer> indexes = new HashMap<>();

  /** By prop, the ports of its pieces by their index in it. */
  private final Map<String, NavigableMap<Integer, PortRef>> props = new HashMap<>();

  /** By zone, how many of its pieces hang on each controller. */
  private final Map<String, Map<String, Integer>> zones = new HashMap<>();

  Neighbours(Plan plan) {
    twins = new Twins(plan.display().props());
    for (Prop prop : plan.display().props()) {
      List<Piece> pieces = prop.pieces();
      for (int i = 0; i < pieces.size(); i++) {
        indexes.put(pieces.get(i).id(), i);
      }
    }
    plan.runs()
        .forEach(
            run -> {
              for (HungLeg leg : run.legs()) {
                hang(leg.at(), run.port());
              }
            });
  }

  void hang(PieceAt at, PortRef port) {
    props.computeIfAbsent(at.prop().id(), id -> new TreeMap<>()).put(index(at), port);
    at.prop()
        .zone()
        .ifPresent(
            zone ->
                zones
                    .computeIfAbsent(zone, id -> new HashMap<>())
                    .merge(port.controller(), 1, Integer::sum));
  }

  void takeOff(PieceAt at, PortRef port) {
    props.get(at.prop().id()).remove(index(at));
    at.prop()
        .zone()
        .ifPresent(
            zone ->
                zones
                    .get(zone)
                    .computeIfPresent(port.controller(), (id, n) -> n == 1 ? null : n - 1));
  }

  private int index(PieceAt at) {
    return indexes.get(at.piece().id());
  }

  /** Who a piece has beside it as things are now. */
  Beside beside(PieceAt at) {
    NavigableMap<Integer, PortRef> own = props.get(at.prop().id());
    int index = index(at);
    Pair siblings =
        own == null
            ? Pair.NONE
            : new Pair(value(own.lowerEntry(index)), value(own.higherEntry(index)));
    // slots are set at the device: on which line it hangs is no matter of order
    Pair paired =
        at.piece() instanceof SlotPiece
            ? Pair.NONE
            : new Pair(
                twins.before(at.prop().id()).flatMap(id -> portOf(id, index)),
                twins.after(at.prop().id()).flatMap(id -> portOf(id, index)));
    return new Beside(
        siblings, paired, at.prop().zone().map(zone -> zones.getOrDefault(zone, Map.of())));
  }

  /** The prop whose twin a piece is, where both hang on ports that match. */
  Optional<String> twinOf(PieceAt at, PortRef port) {
    int index = index(at);
    Optional<String> before =
        twins
            .before(at.prop().id())
            .filter(id -> portOf(id, index).filter(ref -> match(ref, port)).isPresent());
    return at.piece() instanceof SlotPiece
        ? Optional.empty()
        : before.or(
            () ->
                twins
                    .after(at.prop().id())
                    .filter(id -> portOf(id, index).filter(ref -> match(port, ref)).isPresent()));
  }

  private Optional<PortRef> portOf(String prop, int index) {
    return Optional.ofNullable(props.get(prop)).map(all -> all.get(index));
  }

  private static Optional<PortRef> value(Map.Entry<Integer, PortRef> entry) {
    return Optional.ofNullable(entry).map(Map.Entry::getValue);
  }

  /** Who a piece has beside it. */
  static final class Beside {
    private final Pair siblings;
    private final Pair twins;
    private final Optional<Map<String, Integer>> zone;
    private final int inZone;

    private Beside(Pair siblings, Pair twins, Optional<Map<String, Integer>> zone) {
      this.siblings = siblings;
      this.twins = twins;
      this.zone = zone;
      inZone = zone.map(all -> all.values().stream().mapToInt(n -> n).sum()).orElse(0);
    }

    /** The piece of the same prop before it. */
    Optional<PortRef> sibling() {
      return siblings.before().or(siblings::after);
    }

    Optional<PortRef> siblingBefore() {
      return siblings.before();
    }

    Optional<PortRef> twinBefore() {
      return twins.before();
    }

    /** Ports beside which a piece would be well placed. */
    List<PortRef> twins() {
      List<PortRef> all = new ArrayList<>();
      twins.before().ifPresent(all::add);
      twins.after().ifPresent(all::add);
      return all;
    }

    /** What a port costs beside them. */
    double cost(Weights weights, PortRef port) {
      double cost = 0;
      cost += siblings.before().map(before -> step(weights, before, port)).orElse(0.0);
      cost += siblings.after().map(after -> step(weights, port, after)).orElse(0.0);
      cost +=
          twins.before().filter(before -> !match(before, port)).isPresent() ? weights.twin() : 0;
      cost += twins.after().filter(after -> !match(port, after)).isPresent() ? weights.twin() : 0;
      if (inZone > 0) {
        int here = zone.orElseThrow().getOrDefault(port.controller(), 0);
        cost += here == 0 ? weights.zone() : spread(weights, port);
      }
      return cost;
    }

    /** What it costs that others of its zone hang on the same controller. */
    double spread(Weights weights, PortRef port) {
      return inZone == 0
          ? 0
          : weights.spread() * zone.orElseThrow().getOrDefault(port.controller(), 0) / inZone;
    }
  }

  /** What it costs that two pieces of a prop, one after the other, hang on two ports. */
  static double step(Weights weights, PortRef before, PortRef after) {
    if (!before.controller().equals(after.controller())) {
      return weights.split();
    } else if (before.kind() != after.kind()) {
      return 0; // a relay is not after a pixel port
    }
    int step = after.port() - before.port();
    return step < 0 ? weights.backwards() : Math.max(0, step - 1) * weights.skipped();
  }

  /** Whether twins hang on matching ports: rising on one controller, the same on two. */
  static boolean match(PortRef before, PortRef after) {
    return before.controller().equals(after.controller())
        ? before.port() < after.port()
        : before.port() == after.port();
  }
}
