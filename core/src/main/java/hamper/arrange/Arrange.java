package hamper.arrange;

import hamper.address.Protocol;
import hamper.arrange.Proposal.Cost;
import hamper.arrange.Proposal.Hung;
import hamper.arrange.Proposal.Left;
import hamper.catalog.PortKind;
import hamper.catalog.PortMode;
import hamper.check.Checks;
import hamper.check.Finding;
import hamper.check.Severity;
import hamper.check.Subject;
import hamper.display.Controller;
import hamper.display.Piece;
import hamper.display.PieceAt;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.Prop;
import hamper.facts.Facts;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Finds places for pieces that hang nowhere: prop by prop, each piece where it costs least, then
 * moved to where it costs less as long as any does. What comes out is checked as a plan is checked:
 * whatever would bring a fault or a risk that was not there is tried elsewhere, and in the end
 * left. The same plan has the same answer always.
 */
public final class Arrange {
  /** Times that all pieces are looked at again for a better place. */
  private static final int PASSES = 3;

  /** Ports that a piece is tried on before it is left. */
  private static final int TRIES = 8;

  /** Zones of which nobody knows how far they are apart are taken as this far (m). */
  private static final double UNKNOWN_METRES = 200;

  /**
   * A piece with the place that it has now.
   *
   * @param metres of cable before it (m), where both zones have a place
   */
  private record Placed(PieceAt at, Outlet outlet, Optional<Double> metres) {}

  /** A piece on a port. */
  private record Spot(String piece, PortRef port) {}

  private final Facts facts;
  private final Plan plan;
  private final Aim aim;
  private final List<PieceAt> pieces;
  private final Set<String> before;

  /** Where pieces may not hang: the checks said so. */
  private final Set<Spot> bans = new HashSet<>();

  private final Set<String> given = new HashSet<>();
  private final Map<String, Integer> tries = new HashMap<>();

  /** What was wrong where a piece was tried first: the place that would suit it best. */
  private final Map<String, String> firstWhy = new HashMap<>();

  /** Pieces whose places are checked, in the order in which they were hung. */
  private final Set<Spot> settled = new LinkedHashSet<>();

  private Map<PortKind, List<Outlet>> outlets = new EnumMap<>(PortKind.class);
  private final Map<String, Placed> placed = new LinkedHashMap<>();
  private final Map<String, Integer> used = new HashMap<>();
  private final Map<String, List<Placed>> ofProp = new HashMap<>();

  private Arrange(Facts facts, Set<String> wanted, Aim aim) {
    this.facts = facts;
    this.aim = aim;
    plan = facts.plan();
    pieces = inOrder(wanted);
    before = grave(Checks.run(facts)).map(Arrange::matter).collect(Collectors.toSet());
  }

  /**
   * @param wanted ids of pieces; those that hang already stay where they are
   */
  public static Proposal of(Facts facts, Set<String> wanted, Aim aim) {
    return new Arrange(facts, wanted, aim).proposal();
  }

  /** Everything that hangs nowhere. */
  public static Set<String> loose(Plan plan) {
    return plan.display().props().stream()
        .flatMap(prop -> prop.pieces().stream())
        .map(Piece::id)
        .filter(id -> plan.leg(id).isEmpty())
        .collect(Collectors.toSet());
  }

  /** Large props first, since they need most ports in a row; within a prop as it has them. */
  private List<PieceAt> inOrder(Set<String> wanted) {
    List<Prop> props = new ArrayList<>(plan.display().props());
    props.sort(Comparator.comparingInt((Prop prop) -> -prop.pieces().size()));
    return props.stream()
        .flatMap(prop -> prop.pieces().stream())
        .map(Piece::id)
        .filter(wanted::contains)
        .filter(id -> plan.leg(id).isEmpty())
        .map(plan::existingPiece)
        .toList();
  }

  private Proposal proposal() {
    while (true) {
      construct();
      improve();
      List<Placed> fresh = placed.values().stream().filter(one -> !isSettled(one)).toList();
      List<Finding> wrong = wrongWith(fresh);
      if (wrong.isEmpty()) {
        return told();
      }
      settle(fresh, wrong);
    }
  }

  private boolean isSettled(Placed one) {
    return settled.contains(new Spot(one.at().piece().id(), one.outlet().ref()));
  }

  /**
   * Settles those that nothing is wrong with, and bans the first with which something is from where
   * it was tried. By halves: where few are wrong, few looks are needed.
   */
  private void settle(List<Placed> fresh, List<Finding> all) {
    int good = 0;
    int bad = fresh.size();
    List<Finding> wrong = all;
    while (bad - good > 1) {
      int middle = (good + bad) / 2;
      List<Finding> there = wrongWith(fresh.subList(0, middle));
      if (there.isEmpty()) {
        good = middle;
      } else {
        bad = middle;
        wrong = there;
      }
    }
    for (Placed one : fresh.subList(0, good)) {
      settled.add(new Spot(one.at().piece().id(), one.outlet().ref()));
    }
    Placed culprit = fresh.get(bad - 1);
    String id = culprit.at().piece().id();
    firstWhy.putIfAbsent(id, wrong.get(0).message());
    bans.add(new Spot(id, culprit.outlet().ref()));
    if (tries.merge(id, 1, Integer::sum) >= TRIES) {
      given.add(id);
    }
  }

  /** Faults and risks that were not there, were the settled pieces and these hung. */
  private List<Finding> wrongWith(List<Placed> some) {
    Map<PortRef, List<String>> byPort = new LinkedHashMap<>();
    settled.forEach(
        one -> byPort.computeIfAbsent(one.port(), key -> new ArrayList<>()).add(one.piece()));
    for (Placed one : some) {
      byPort
          .computeIfAbsent(one.outlet().ref(), key -> new ArrayList<>())
          .add(one.at().piece().id());
    }
    if (byPort.isEmpty()) {
      return List.of();
    }
    Plan with = plan.with(Proposal.hanging(byPort).change(plan));
    return grave(Checks.run(facts.with(with)))
        .filter(one -> !before.contains(matter(one)))
        .toList();
  }

  private static Stream<Finding> grave(List<Finding> all) {
    return all.stream().filter(one -> one.severity() != Severity.HINT);
  }

  /** What a finding is about, whatever its numbers: a risk that was there stays one. */
  private static String matter(Finding one) {
    return one.code()
        + one.severity()
        + one.subjects().stream().map(Subject::identity).collect(Collectors.joining(","));
  }

  private void construct() {
    outlets = outlets();
    placed.clear();
    used.clear();
    ofProp.clear();
    plan.runs()
        .forEach(
            run -> {
              if (!run.legs().isEmpty()) {
                used.merge(run.controller().id(), 1, Integer::sum);
              }
            });
    Map<PortRef, Outlet> byRef = new HashMap<>();
    outlets.values().forEach(all -> all.forEach(one -> byRef.put(one.ref(), one)));
    settled.forEach(one -> put(plan.existingPiece(one.piece()), byRef.get(one.port())));
    for (PieceAt at : pieces) {
      if (!placed.containsKey(at.piece().id())) {
        best(at).ifPresent(outlet -> put(at, outlet));
      }
    }
  }

  private Map<PortKind, List<Outlet>> outlets() {
    Map<PortKind, List<Outlet>> all = new EnumMap<>(PortKind.class);
    for (PortKind kind : PortKind.values()) {
      List<Outlet> ofKind = new ArrayList<>();
      for (Controller controller : plan.display().controllers()) {
        boolean drives = kind == PortKind.SERIAL || controller.protocol() != Protocol.NONE;
        int most = drives ? plan.modeOf(controller, kind).map(PortMode::ports).orElse(0) : 0;
        for (int number = 1; number <= most; number++) {
          ofKind.add(new Outlet(plan, controller, kind, number));
        }
      }
      all.put(kind, ofKind);
    }
    return all;
  }

  private void put(PieceAt at, Outlet outlet) {
    Placed one = new Placed(at, outlet, outlet.metres(at));
    // what is moved comes last: as it stands on its wire, and as it is checked
    placed.remove(at.piece().id());
    placed.put(at.piece().id(), one);
    hang(one);
  }

  private void hang(Placed one) {
    one.outlet().add(one.at());
    used.merge(one.outlet().controller().id(), 1, Integer::sum);
    ofProp.computeIfAbsent(one.at().prop().id(), id -> new ArrayList<>()).add(one);
  }

  private void takeOff(Placed one) {
    one.outlet().removeLast();
    used.merge(one.outlet().controller().id(), -1, Integer::sum);
    ofProp.get(one.at().prop().id()).remove(one);
  }

  private Optional<Outlet> best(PieceAt at) {
    if (given.contains(at.piece().id())) {
      return Optional.empty();
    }
    Outlet best = null;
    double least = Double.MAX_VALUE;
    for (Outlet outlet : outlets.get(at.piece().portKind())) {
      if (outlet.against(at).isEmpty() && !bans.contains(new Spot(at.piece().id(), outlet.ref()))) {
        double cost = cost(at, outlet);
        if (cost < least) {
          least = cost;
          best = outlet;
        }
      }
    }
    return Optional.ofNullable(best);
  }

  /** What it costs to hang a piece at the end of a port, as things are now. */
  private double cost(PieceAt at, Outlet outlet) {
    double cost = outlet.metres(at).orElse(UNKNOWN_METRES) * aim.metre();
    if (!outlet.empty()) {
      cost += aim.shared();
    }
    if (used.getOrDefault(outlet.controller().id(), 0) == 0) {
      cost += aim.another();
    }
    List<Placed> siblings = ofProp.getOrDefault(at.prop().id(), List.of());
    if (!siblings.isEmpty()) {
      PortRef last = siblings.get(siblings.size() - 1).outlet().ref();
      if (!last.controller().equals(outlet.ref().controller())) {
        cost += aim.split();
      } else {
        int step = outlet.ref().port() - last.port();
        cost += step < 0 ? aim.backwards() : Math.max(0, step - 1) * aim.skipped();
      }
    }
    return cost;
  }

  /** Takes each piece that hangs last on its port off, and hangs it where it costs less. */
  private void improve() {
    for (int pass = 0; pass < PASSES; pass++) {
      boolean better = false;
      for (PieceAt at : pieces) {
        Placed one = placed.get(at.piece().id());
        if (one == null || isSettled(one) || !one.outlet().endsWith(at.piece().id())) {
          continue;
        }
        takeOff(one);
        double was = cost(at, one.outlet());
        Outlet now = best(at).orElse(one.outlet());
        boolean moves = now != one.outlet() && cost(at, now) < was;
        if (moves) {
          put(at, now);
        } else {
          hang(one);
        }
        better |= moves;
      }
      if (!better) {
        return;
      }
    }
  }

  private Proposal told() {
    List<Hung> hung = new ArrayList<>();
    List<Left> left = new ArrayList<>();
    Map<String, Integer> byProp = new HashMap<>();
    for (Placed one : placed.values()) {
      PieceAt at = one.at();
      int earlier = byProp.merge(at.prop().id(), 1, Integer::sum) - 1;
      PortRef port = one.outlet().ref();
      hung.add(
          new Hung(at.piece().id(), at.title(), port, plan.written(port), because(one, earlier)));
    }
    for (PieceAt at : pieces) {
      if (!placed.containsKey(at.piece().id())) {
        left.add(new Left(at.piece().id(), at.title(), whyNot(at)));
      }
    }
    return new Proposal(aim, hung, left, costs());
  }

  private String because(Placed one, int before) {
    List<String> why = new ArrayList<>();
    if (before > 0) {
      why.add("beside the rest of " + one.at().prop().name());
    }
    String zone = plan.zoneName(one.at().prop().zone());
    Optional<Double> metres = one.metres();
    if (metres.isPresent()) {
      why.add(
          metres.get() == 0
              ? "in the same zone, " + zone
              : "about %.0f m of cable to %s".formatted(metres.get(), zone));
    } else {
      why.add("how far it is nobody said");
    }
    if (one.outlet().ref().kind() == PortKind.PIXEL) {
      why.add("room for %d more pixels".formatted(one.outlet().room(one.at().pixels())));
    }
    return String.join("; ", why);
  }

  /** What is in the way of a piece: what the checks said, or what the nearest ports have. */
  private String whyNot(PieceAt at) {
    String said = firstWhy.get(at.piece().id());
    if (said != null) {
      return said;
    }
    return outlets.get(at.piece().portKind()).stream()
        .sorted(Comparator.comparingDouble(outlet -> outlet.metres(at).orElse(UNKNOWN_METRES)))
        .flatMap(
            outlet ->
                outlet.against(at).map(why -> plan.written(outlet.ref()) + ": " + why).stream())
        .findFirst()
        .orElse("no controller has a port of its kind");
  }

  private Cost costs() {
    Set<String> controllers = new HashSet<>();
    Set<PortRef> refs = new HashSet<>();
    double metres = 0;
    for (Placed one : placed.values()) {
      controllers.add(one.outlet().controller().id());
      refs.add(one.outlet().ref());
      metres += one.metres().orElse(0.0);
    }
    long another =
        controllers.stream()
            .filter(
                id ->
                    plan.runsOf(plan.existingController(id)).stream()
                        .allMatch(run -> run.legs().isEmpty()))
            .count();
    Map<String, Set<String>> byProp = new HashMap<>();
    placed
        .values()
        .forEach(
            one ->
                byProp
                    .computeIfAbsent(one.at().prop().id(), id -> new HashSet<>())
                    .add(one.outlet().controller().id()));
    int split = (int) byProp.values().stream().filter(on -> on.size() > 1).count();
    return new Cost(controllers.size(), (int) another, refs.size(), metres, split);
  }
}
