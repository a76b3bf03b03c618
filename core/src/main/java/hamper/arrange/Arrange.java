package hamper.arrange;

import hamper.arrange.Culprits.Off;
import hamper.arrange.Proposal.Cost;
import hamper.arrange.Proposal.Hung;
import hamper.arrange.Proposal.Left;
import hamper.catalog.PortKind;
import hamper.check.Finding;
import hamper.display.Piece;
import hamper.display.PieceAt;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.Prop;
import hamper.facts.Facts;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Finds places for pieces that hang nowhere. A few on few ports: the best way of all. Else prop by
 * prop, each piece where it costs least, then moved to where it costs less as long as any does;
 * what comes out is checked as a plan is checked, and whatever would bring a fault or a risk that
 * was not there is tried elsewhere, and in the end left. The same plan has the same answer always.
 */
public final class Arrange {
  /** Times that all pieces are looked at again for a better place. */
  private static final int PASSES = 3;

  /** Of more pieces than these once. */
  private static final int MANY = 5_000;

  /** Of more than these the fewest controllers are looked for near the pieces only. */
  private static final int SEVERAL = 1_000;

  /** Times that pieces with which something is wrong are tried elsewhere. */
  private static final int ROUNDS = 40;

  private final Facts facts;
  private final Plan plan;
  private final Aim aim;
  private final List<PieceAt> pieces;
  private final Yardstick measured;
  private final Layout layout;
  private final Trouble trouble;
  private final Lessons lessons = new Lessons();
  private final Culprits culprits;

  /**
   * @param weights by which it is searched
   */
  private Arrange(Facts facts, Set<String> wanted, Aim aim, Aim weights) {
    this.facts = facts;
    this.aim = aim;
    plan = facts.plan();
    pieces = inOrder(wanted);
    measured = new Yardstick(plan);
    layout = new Layout(facts, weights, measured);
    trouble = new Trouble(facts);
    culprits = new Culprits(plan);
  }

  /**
   * @param wanted ids of pieces; those that hang already stay where they are
   */
  public static Proposal of(Facts facts, Set<String> wanted, Aim aim) {
    List<Proposal> all = new ArrayList<>();
    boolean near = aim == Aim.FEWEST && wanted.size() > SEVERAL;
    all.add(new Arrange(facts, wanted, aim, near ? Aim.EASIEST : aim).proposal());
    for (Aim other : Aim.values()) {
      // by other weights more may fit; and what stays near needs fewer controllers where the
      // voltage falls on the way; of many pieces only that is looked at
      boolean helps =
          !all.get(0).left().isEmpty() || aim == Aim.FEWEST && !near && other == Aim.EASIEST;
      if (other != aim && helps) {
        all.add(new Arrange(facts, wanted, aim, other).proposal());
      }
    }
    Comparator<Proposal> better = Comparator.comparingInt(one -> one.left().size());
    if (aim == Aim.FEWEST) {
      better =
          better
              .thenComparingInt(one -> one.cost().another())
              .thenComparingInt(one -> one.cost().outlets());
    }
    return all.stream().min(better).get();
  }

  /** The same by the weights of the aim alone: what many changes are tried with. */
  static Proposal once(Facts facts, Set<String> wanted, Aim aim) {
    return new Arrange(facts, wanted, aim, aim).proposal();
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
    if (!Exact.hang(layout, pieces, trouble)) {
      pieces.forEach(this::hang);
      improve();
      settle();
    }
    return told();
  }

  private void hang(PieceAt at) {
    layout.best(at, lessons).ifPresent(outlet -> layout.hang(at, outlet));
  }

  /** Takes each piece that hangs last on its port off, and hangs it where it costs less. */
  private void improve() {
    boolean better = true;
    int passes = pieces.size() > MANY ? 1 : PASSES;
    for (int pass = 0; pass < passes && better; pass++) {
      better = false;
      for (PieceAt at : pieces) {
        Optional<Placed> there = layout.of(at.piece().id());
        if (there.isPresent() && there.get().outlet().endsWith(at.piece().id())) {
          better |= improved(there.get());
        }
      }
    }
  }

  private boolean improved(Placed one) {
    layout.takeOff(one);
    double was = layout.cost(one.at(), one.outlet());
    Outlet now = layout.best(one.at(), lessons).orElse(one.outlet());
    boolean moves = now != one.outlet() && layout.cost(one.at(), now) < was;
    layout.hang(one.at(), moves ? now : one.outlet());
    return moves;
  }

  /**
   * Tries what the checks have something against elsewhere, all of it at once, until nothing is.
   */
  private void settle() {
    List<Finding> wrong = trouble.with(layout.placed());
    for (int round = 0; !wrong.isEmpty(); round++) {
      List<Off> off = culprits.of(wrong, layout);
      if (off.isEmpty()) {
        off = List.of(firstBad(wrong));
      }
      Set<String> again = new HashSet<>();
      for (Off one : off) {
        if (round >= ROUNDS) {
          lessons.giveUp(one.placed().piece());
        }
        if (one.tooMuch()) {
          lessons.tooMuch(one.placed(), one.why());
        } else {
          lessons.wrong(one.placed(), one.why());
        }
      }
      // those behind it on the wire come off with it
      for (Off one : off) {
        for (String piece : one.placed().outlet().backTo(one.placed().piece())) {
          layout.of(piece).ifPresent(layout::takeOff);
          again.add(piece);
        }
      }
      pieces.stream().filter(at -> again.contains(at.piece().id())).forEach(this::hang);
      wrong = trouble.with(layout.placed());
    }
  }

  /** The first in the order of hanging with which anything is wrong, found by halves. */
  private Off firstBad(List<Finding> all) {
    List<Placed> hung = List.copyOf(layout.placed());
    int good = 0;
    int bad = hung.size();
    List<Finding> wrong = all;
    while (bad - good > 1) {
      int middle = (good + bad) / 2;
      List<Finding> there = trouble.with(hung.subList(0, middle));
      if (there.isEmpty()) {
        good = middle;
      } else {
        bad = middle;
        wrong = there;
      }
    }
    return new Off(hung.get(bad - 1), wrong.get(0).message(), false);
  }

  private Proposal told() {
    List<Hung> hung = new ArrayList<>();
    List<Left> left = new ArrayList<>();
    Map<String, Integer> byProp = new HashMap<>();
    for (Placed one : layout.placed()) {
      PieceAt at = one.at();
      int earlier = byProp.merge(at.prop().id(), 1, Integer::sum) - 1;
      PortRef port = one.outlet().ref();
      hung.add(
          new Hung(at.piece().id(), at.title(), port, plan.written(port), because(one, earlier)));
    }
    for (PieceAt at : pieces) {
      if (layout.of(at.piece().id()).isEmpty()) {
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
    String said = lessons.whyNot(at.piece().id());
    if (!said.isEmpty()) {
      return said;
    }
    return layout.boards(at.piece().portKind()).stream()
        .flatMap(board -> board.outlets().stream())
        .sorted(
            Comparator.comparingDouble(outlet -> measured.taken(outlet.end(), at.prop().zone())))
        .flatMap(
            outlet ->
                outlet.against(at).map(why -> plan.written(outlet.ref()) + ": " + why).stream())
        .findFirst()
        .orElse("no controller has a port of its kind");
  }

  private Cost costs() {
    Set<String> controllers = new HashSet<>();
    Set<String> another = new HashSet<>();
    Set<PortRef> refs = new HashSet<>();
    Map<String, Set<String>> byProp = new HashMap<>();
    double metres = 0;
    for (Placed one : layout.placed()) {
      String controller = one.outlet().controller().id();
      controllers.add(controller);
      if (layout.isNew(one.outlet().controller())) {
        another.add(controller);
      }
      refs.add(one.outlet().ref());
      metres += one.metres().orElse(0.0);
      byProp.computeIfAbsent(one.at().prop().id(), id -> new HashSet<>()).add(controller);
    }
    int split = (int) byProp.values().stream().filter(on -> on.size() > 1).count();
    Least least =
        Least.of(
            layout.placed().stream().map(Placed::at).toList(),
            new Layout(facts, aim, measured),
            measured);
    return new Cost(controllers.size(), another.size(), refs.size(), metres, split, least);
  }
}
