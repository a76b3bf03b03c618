package hamper.arrange;

import hamper.display.Piece;
import hamper.display.PieceAt;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.display.Zone;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Puts the wires of each controller on its ports as a crew goes along: zone by zone, prop by prop,
 * left to right. Only among ports that were empty; and only where nothing is lost by it.
 */
final class HangingOrder {
  private final Layout layout;
  private final Trouble trouble;
  private final Set<String> anchored;
  private final Map<String, Integer> rank = new HashMap<>();

  /**
   * @param anchored pieces that hang already: they stay
   */
  HangingOrder(Plan plan, Layout layout, Trouble trouble, Set<String> anchored) {
    this.layout = layout;
    this.trouble = trouble;
    this.anchored = anchored;
    List<String> zones = plan.display().zones().stream().map(Zone::id).toList();
    Map<String, Integer> order = new HashMap<>();
    zones.forEach(zone -> order.put(zone, order.size()));
    List<Prop> props = new ArrayList<>(plan.display().props());
    props.sort(
        Comparator.comparingInt(
            prop -> prop.zone().map(zone -> order.getOrDefault(zone, 0)).orElse(zones.size())));
    for (Prop prop : props) {
      for (Piece piece : prop.pieces()) {
        rank.put(piece.id(), rank.size());
      }
    }
  }

  /** A wire that moves to another port, with what hangs on it. */
  private record Wire(Outlet from, Outlet to, List<PieceAt> pieces) {}

  /** Before anything is checked, so that it is checked along. */
  void putUnchecked(Weights weights) {
    put(weights, false);
  }

  void put(Weights weights) {
    put(weights, true);
  }

  private void put(Weights weights, boolean checked) {
    List<Wire> wires = new ArrayList<>();
    byBank().values().forEach(outlets -> wires.addAll(moved(outlets)));
    if (wires.isEmpty()) {
      return;
    }
    double before = Tally.of(layout, weights).weighed();
    move(wires);
    if (Tally.of(layout, weights).weighed() > before + 1e-6
        || checked && !trouble.with(layout.placed()).isEmpty()) {
      move(wires.stream().map(one -> new Wire(one.to(), one.from(), one.pieces())).toList());
    }
  }

  /** Ports that are alike and on which nothing hung, in their order. */
  private Map<List<Object>, List<Outlet>> byBank() {
    Map<List<Object>, List<Outlet>> all = new LinkedHashMap<>();
    Set<Outlet> seen = new HashSet<>();
    for (Placed one : layout.placed()) {
      Outlet outlet = one.outlet();
      boolean own = seen.add(outlet) && outlet.pieces().stream().allMatch(this::isNew);
      if (own) {
        all.computeIfAbsent(
                List.of(outlet.ref().controller(), outlet.ref().kind(), outlet.bank()),
                key -> new ArrayList<>())
            .add(outlet);
      }
    }
    all.values().forEach(some -> some.sort(Comparator.comparingInt(one -> one.ref().port())));
    return all;
  }

  private boolean isNew(PieceAt at) {
    String id = at.piece().id();
    return layout.of(id).isPresent() && !anchored.contains(id);
  }

  private List<Wire> moved(List<Outlet> ports) {
    List<Outlet> wanted = new ArrayList<>(ports);
    wanted.sort(Comparator.comparingInt(outlet -> rank.get(outlet.pieces().get(0).piece().id())));
    List<Wire> wires = new ArrayList<>();
    for (int i = 0; i < ports.size(); i++) {
      if (wanted.get(i) != ports.get(i)) {
        wires.add(new Wire(wanted.get(i), ports.get(i), List.copyOf(wanted.get(i).pieces())));
      }
    }
    return wires;
  }

  private void move(List<Wire> wires) {
    for (Wire wire : wires) {
      for (int i = wire.pieces().size() - 1; i >= 0; i--) {
        layout.takeOff(layout.of(wire.pieces().get(i).piece().id()).orElseThrow());
      }
    }
    for (Wire wire : wires) {
      wire.pieces().forEach(at -> layout.hang(at, wire.to()));
    }
  }
}
