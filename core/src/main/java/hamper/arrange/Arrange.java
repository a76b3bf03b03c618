package hamper.arrange;

import hamper.arrange.Ground.Order;
import hamper.arrange.Search.Found;
import hamper.display.Piece;
import hamper.display.Plan;
import hamper.edit.UnpatchPieces;
import hamper.facts.Facts;
import hamper.value.Require;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/**
 * Finds places for pieces. What comes out is checked as a plan is checked, and brings no fault or
 * risk that was not there. The same plan has the same answer always.
 */
public final class Arrange {
  /** Of more than these the fewest controllers are looked for near the pieces only. */
  private static final int SEVERAL = 1_000;

  /** Most pieces that hang and may move at once. */
  public static final int MOST_MOVING = 10_000;

  private final Facts facts;
  private final Asked asked;
  private final Progress progress;

  private Arrange(Facts facts, Asked asked, Progress progress) {
    this.facts = facts;
    this.asked = asked;
    this.progress = progress;
  }

  /** With nobody who waits. */
  public static Proposal of(Facts facts, Asked asked) {
    return of(facts, asked, Progress.NONE);
  }

  /**
   * @param progress is told how far it is
   * @throws hamper.value.RefusedException where too many that hang may move
   */
  public static Proposal of(Facts facts, Asked asked, Progress progress) {
    return new Arrange(facts, asked, progress).proposal();
  }

  /** The same by the weights of the aim alone, without moving: what many changes are tried with. */
  static Proposal once(Facts facts, Set<String> wanted, Aim aim) {
    Asked asked = Asked.of(loose(facts.plan(), wanted::contains), aim);
    Ground ground = new Ground(facts, facts, asked.pieces());
    return new Search(ground, asked, aim.weights(), Order.BY_SIZE, Progress.NONE)
        .foundSoon()
        .proposal();
  }

  /** Every piece, whether it hangs or not. */
  public static Set<String> all(Plan plan) {
    return plan.display().props().stream()
        .flatMap(prop -> prop.pieces().stream())
        .map(Piece::id)
        .collect(Collectors.toSet());
  }

  /** Everything that hangs nowhere. */
  public static Set<String> loose(Plan plan) {
    return loose(plan, piece -> true);
  }

  private static Set<String> loose(Plan plan, Predicate<String> wanted) {
    return plan.display().props().stream()
        .flatMap(prop -> prop.pieces().stream())
        .map(Piece::id)
        .filter(id -> wanted.test(id) && plan.leg(id).isEmpty())
        .collect(Collectors.toSet());
  }

  /** What some pieces cost as they hang, by the same reckoning as a proposal. */
  public static Cost asItHangs(Facts facts, Set<String> pieces, Aim aim) {
    Plan plan = facts.plan();
    List<String> hanging =
        pieces.stream().filter(piece -> plan.leg(piece).isPresent()).sorted().toList();
    Ground ground = new Ground(facts, without(facts, hanging), Set.copyOf(hanging));
    Layout layout = ground.replayed(plan, ground.pieces(), aim.weights());
    return ground.cost(layout, Tally.of(layout, aim.weights()), facts);
  }

  private static Facts without(Facts facts, List<String> pieces) {
    Facts bare = facts;
    for (int from = 0; from < pieces.size(); from += MOST_MOVING) {
      List<String> some = pieces.subList(from, Math.min(pieces.size(), from + MOST_MOVING));
      bare = bare.with(bare.plan().with(new UnpatchPieces(some).change(bare.plan())));
    }
    return bare;
  }

  private Proposal proposal() {
    Plan plan = facts.plan();
    Set<String> loose = loose(plan, asked.pieces()::contains);
    Set<String> movable = asked.move() ? Movable.of(plan, asked.pieces(), asked.given()) : Set.of();
    Require.that(
        movable.size() <= MOST_MOVING,
        "pieces",
        movable.size() + " that hang",
        "at most %d may move at once; choose a zone or some of them, or leave what hangs where it is"
            .formatted(MOST_MOVING));
    Proposal kept = best(new Ground(facts, facts, loose));
    if (movable.isEmpty() || kept.stopped()) {
      return kept;
    }
    Set<String> all = new HashSet<>(loose);
    all.addAll(movable);
    Facts bare = without(facts, movable.stream().sorted().toList());
    Ground ground = new Ground(facts, bare, all);
    Proposal best = kept;
    List<Ground> ways = new ArrayList<>(List.of(ground));
    if (all.size() <= SEVERAL) {
      ways.add(Ground.anew(facts, bare, all));
    }
    for (Ground way : ways) {
      if (!best.stopped()) {
        Proposal moved = best(way);
        best = isBetter(moved, best, movable, ground) ? moved : best;
        best = moved.stopped() ? best.whenStopped() : best;
      }
    }
    return best;
  }

  /** Whether it is worth it that something moves; nothing that hangs may be left over. */
  private boolean isBetter(Proposal moved, Proposal kept, Set<String> movable, Ground ground) {
    if (moved.left().stream().anyMatch(one -> movable.contains(one.piece()))) {
      return false;
    }
    return moved.left().size() < kept.left().size()
        || moved.left().size() == kept.left().size()
            && weighed(ground, moved) < weighed(ground, kept);
  }

  private double weighed(Ground ground, Proposal one) {
    Plan plan = facts.plan();
    Plan after = one.edit().map(edit -> plan.with(edit.change(plan))).orElse(plan);
    Weights weights = asked.weights(asked.aim());
    double moves = one.hung().stream().filter(hung -> hung.from().isPresent()).count();
    return Tally.of(ground.replayed(after, ground.pieces(), weights), weights).weighed()
        + moves * weights.move();
  }

  /** The best by the weights of the aim, and by those of others where they may help. */
  private Proposal best(Ground ground) {
    Aim aim = asked.aim();
    boolean many = ground.pieces().size() > SEVERAL;
    boolean near = aim == Aim.FEWEST && many;
    List<Found> all = new ArrayList<>();
    Weights own = asked.weights(near ? Aim.EASIEST : aim);
    Found first = found(ground, own, Order.BY_SIZE, all);
    if (first.exact()) {
      return first.proposal();
    }
    if (!many) {
      found(ground, own, Order.BY_ZONE, all);
    }
    for (Aim other : Aim.values()) {
      // by other weights more may fit; and what stays near needs fewer controllers where the
      // voltage falls on the way; of many pieces only that is looked at
      boolean helps =
          !first.proposal().left().isEmpty() || aim == Aim.FEWEST && !near && other == Aim.EASIEST;
      if (other != aim && helps) {
        found(ground, asked.weights(other), Order.BY_SIZE, all);
      }
    }
    if (asked.spread() && !first.proposal().left().isEmpty()) {
      for (Aim any : Aim.values()) {
        found(ground, any.weights(), Order.BY_SIZE, all); // a place comes before a spread
      }
    }
    Comparator<Found> better = Comparator.comparingInt(one -> one.proposal().left().size());
    if (aim == Aim.FEWEST) {
      better =
          better
              .thenComparingInt(one -> one.proposal().cost().another())
              .thenComparingInt(one -> one.proposal().cost().outlets());
    }
    Proposal best =
        all.stream()
            .min(better.thenComparingDouble(Found::weighed))
            .map(Found::proposal)
            .orElseThrow();
    return all.stream().anyMatch(one -> one.proposal().stopped()) ? best.whenStopped() : best;
  }

  /** One more way, unless somebody stopped the last. */
  private Found found(Ground ground, Weights by, Order order, List<Found> all) {
    Found last = all.isEmpty() ? null : all.get(all.size() - 1);
    if (last != null && last.proposal().stopped()) {
      return last;
    }
    Found one = new Search(ground, asked, by, order, progress).found();
    all.add(one);
    return one;
  }
}
