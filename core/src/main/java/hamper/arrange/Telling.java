package hamper.arrange;

import hamper.arrange.Proposal.Hung;
import hamper.arrange.Proposal.Left;
import hamper.catalog.Banks;
import hamper.catalog.PortKind;
import hamper.display.HungLeg;
import hamper.display.HungRun;
import hamper.display.LegAt;
import hamper.display.PieceAt;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.value.Decimals;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** A layout in words: what hangs where and why, and what is in the way of the rest. */
final class Telling {
  private final Plan plan;
  private final Layout layout;
  private final Yardstick measured;
  private final Lessons lessons;

  /**
   * @param plan before anything is hung or moved
   */
  Telling(Plan plan, Layout layout, Yardstick measured, Lessons lessons) {
    this.plan = plan;
    this.layout = layout;
    this.measured = measured;
    this.lessons = lessons;
  }

  /** By controller and port, along each wire, without what stays where it is. */
  List<Hung> hung() {
    Map<String, Placed> all = new HashMap<>();
    Map<String, Integer> order = new HashMap<>();
    Set<Outlet> outlets = new HashSet<>();
    for (Placed one : layout.placed()) {
      all.put(one.piece(), one);
      outlets.add(one.outlet());
    }
    plan.display().controllers().forEach(one -> order.put(one.id(), order.size()));
    List<Hung> hung = new ArrayList<>();
    outlets.stream()
        .sorted(
            Comparator.comparing((Outlet one) -> order.get(one.ref().controller()))
                .thenComparing(one -> one.ref().kind())
                .thenComparing(one -> one.ref().port()))
        .forEach(
            outlet -> {
              for (String piece : changed(outlet)) {
                hung.add(told(all.get(piece)));
              }
            });
    return hung;
  }

  /** Pieces of a wire from the first on that is not where it was. */
  private List<String> changed(Outlet outlet) {
    List<HungLeg> before = plan.run(outlet.ref()).map(HungRun::legs).orElse(List.of());
    List<String> now = new ArrayList<>();
    boolean same = true;
    for (int i = 0; i < outlet.pieces().size(); i++) {
      String piece = outlet.pieces().get(i).piece().id();
      same =
          same
              && i < before.size()
              && before.get(i).leg().piece().equals(piece)
              && before.get(i).box() == outlet.box(i);
      if (!same) {
        now.add(piece);
      }
    }
    return now;
  }

  private Hung told(Placed one) {
    PieceAt at = one.at();
    PortRef port = one.outlet().ref();
    return new Hung(
        at.piece().id(),
        at.title(),
        port,
        plan.written(port),
        one.box(),
        plan.leg(at.piece().id()).map(LegAt::port).map(plan::written),
        because(one));
  }

  private String because(Placed one) {
    PieceAt at = one.at();
    PortRef port = one.outlet().ref();
    List<String> why = new ArrayList<>();
    Neighbours.Beside beside = layout.neighbours().beside(at);
    if (beside.sibling().filter(ref -> ref.controller().equals(port.controller())).isPresent()) {
      why.add("beside the rest of " + at.prop().name());
    }
    layout
        .neighbours()
        .twinOf(at, port)
        .ifPresent(twin -> why.add("as its twin " + plan.props().existing(twin).name()));
    String zone = plan.zoneName(at.prop().zone());
    Optional<Double> metres = one.metres();
    if (metres.isPresent()) {
      why.add(
          metres.get() == 0
              ? "in the same zone, " + zone
              : "about %s m of cable to %s".formatted(Decimals.of(metres.get(), 0), zone));
    } else {
      why.add("how far it is nobody said");
    }
    one.box()
        .ifPresent(
            box ->
                why.add(
                    "on box %s%s"
                        .formatted(
                            Banks.letter(box), one.spot().fresh() ? ", which is new there" : "")));
    if (port.kind() == PortKind.PIXEL) {
      why.add("room for %d more pixels".formatted(one.outlet().room(at.pixels())));
    }
    return String.join("; ", why);
  }

  List<Left> left(List<PieceAt> pieces, boolean stopped) {
    Map<PortKind, Map<String, List<Outlet>>> ending = new EnumMap<>(PortKind.class);
    return pieces.stream()
        .filter(at -> layout.of(at.piece().id()).isEmpty())
        .map(at -> new Left(at.piece().id(), at.title(), whyNot(at, ending, stopped)))
        .toList();
  }

  /** By zone, the ports of a kind whose wires end there. */
  private Map<String, List<Outlet>> ending(PortKind kind) {
    return layout.boards(kind).stream()
        .flatMap(board -> board.outlets().stream())
        .collect(Collectors.groupingBy(outlet -> Yardstick.key(outlet.end())));
  }

  /**
   * What is in the way of a piece: what the checks said, or what the nearest ports have.
   *
   * @param ending of each kind, filled where it is asked for
   */
  private String whyNot(
      PieceAt at, Map<PortKind, Map<String, List<Outlet>>> ending, boolean stopped) {
    String said = lessons.whyNot(at.piece().id());
    if (!said.isEmpty()) {
      return said;
    }
    Map<String, List<Outlet>> there = ending.computeIfAbsent(at.piece().portKind(), this::ending);
    return measured.nearest(at.prop().zone()).stream()
        .flatMap(zone -> there.getOrDefault(zone, List.of()).stream())
        .flatMap(
            outlet ->
                outlet.against(at).map(why -> plan.written(outlet.ref()) + ": " + why).stream())
        .findFirst()
        .orElse(
            stopped
                ? "it was stopped before a place was looked for"
                : "no controller has a port of its kind");
  }
}
