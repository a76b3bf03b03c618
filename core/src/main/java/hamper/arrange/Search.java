package hamper.arrange;

import hamper.arrange.Culprits.Off;
import hamper.arrange.Progress.Phase;
import hamper.check.Finding;
import hamper.display.PieceAt;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * One search by the weights of one aim. A few pieces on few ports: the best way of all. Else prop
 * by prop, each piece where it costs least, then moved to where it costs less as long as any does;
 * whatever would bring a fault or a risk that was not there is tried elsewhere, and in the end
 * left. What hangs and may move stays at first, makes room for others, and moves where it is worth
 * it.
 */
final class Search {
  /** Times that all pieces are looked at again for a better place. */
  private static final int PASSES = 3;

  /** Of more pieces than these once, and no ends of wires. */
  private static final int MANY = 1_500;

  /** Times that pieces with which something is wrong are tried elsewhere. */
  private static final int ROUNDS = 40;

  /** Whoever waits is asked after so many pieces. */
  private static final int STRIDE = 32;

  private final Ground ground;
  private final Asked asked;
  private final Weights weights;
  private final Progress progress;
  private final List<PieceAt> pieces;

  /** Pieces that hang, and hang in the layout from the start. */
  private final Set<String> anchored;

  private final Layout layout;
  private final Trouble trouble;
  private final Lessons lessons = new Lessons();
  private final Culprits culprits;
  private boolean stopped;
  private boolean exact;

  /**
   * What was found.
   *
   * @param weighed by the weights of the aim that was asked for
   * @param exact whether all ways were looked through
   */
  record Found(Proposal proposal, double weighed, boolean exact) {}

  /**
   * @param weights by which it is searched; what is found is weighed by those of the aim
   */
  Search(Ground ground, Asked asked, Weights weights, Ground.Order order, Progress progress) {
    this.ground = ground;
    this.asked = asked;
    this.weights = weights;
    this.progress = progress;
    anchored = ground.anchored();
    pieces =
        ground.piecesIn(order).stream().filter(at -> !anchored.contains(at.piece().id())).toList();
    layout = ground.replayed(ground.plan(), anchored, weights);
    trouble = ground.trouble();
    culprits = new Culprits(ground.plan());
  }

  Found found() {
    return found(anchored.isEmpty() && Exact.hang(layout, pieces, trouble));
  }

  /** Without looking through all ways where there are few: what many changes are tried with. */
  Found foundSoon() {
    return found(false);
  }

  private Found found(boolean allWays) {
    HangingOrder order = new HangingOrder(ground.plan(), layout, trouble, anchored);
    exact = allWays;
    if (!exact) {
      hangAll();
      improve();
      if (!stopped && pieces.size() <= MANY) {
        stopped = !new Tails(layout, lessons, anchored, progress).done();
      }
      order.putUnchecked(weights);
      settle();
      betterStill();
    }
    if (!stopped) {
      order.put(weights);
    }
    return told();
  }

  /** What is tried once all is right, as long as nobody stops it. */
  private void betterStill() {
    if (!stopped) {
      stopped = !new MakingRoom(layout, pieces, lessons, trouble, progress).done();
    }
    if (!stopped && !anchored.isEmpty()) {
      stopped = !new Moving(layout, weights, anchored, lessons, trouble, progress).done();
    }
    if (!stopped && asked.aim() == Aim.FEWEST) {
      stopped = !new Emptying(layout, lessons, trouble, progress).done();
    }
  }

  private boolean goesOn(Phase phase, int done, int of) {
    stopped = stopped || !progress.at(phase, done, of);
    return !stopped;
  }

  private void hangAll() {
    for (int i = 0; i < pieces.size(); i++) {
      if (i % STRIDE == 0 && !goesOn(Phase.HANGING, i, pieces.size())) {
        return;
      }
      hang(pieces.get(i));
    }
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
      for (int i = 0; i < pieces.size(); i++) {
        if (i % STRIDE == 0 && !goesOn(Phase.MOVING, i, pieces.size())) {
          return;
        }
        String id = pieces.get(i).piece().id();
        Optional<Placed> there = layout.of(id);
        if (there.isPresent() && there.get().outlet().endsWith(id)) {
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
    if (moves) {
      layout.hang(one.at(), now);
    } else {
      layout.hangBack(one);
    }
    return moves;
  }

  /**
   * Tries what the checks have something against elsewhere, all of it at once, until nothing is;
   * once it was stopped, leaves it.
   */
  private void settle() {
    List<Finding> wrong = trouble.with(layout.placed());
    for (int round = 0; !wrong.isEmpty(); round++) {
      goesOn(Phase.CHECKING, round, 0);
      List<Off> off = notAnchored(culprits.of(wrong, layout));
      if (off.isEmpty()) {
        off = List.of(firstBad(wrong));
      }
      Set<String> again = new HashSet<>();
      for (Off one : off) {
        if (round >= ROUNDS || stopped) {
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

  /** In the place of what hangs already, what was hung behind it just now. */
  private List<Off> notAnchored(List<Off> all) {
    Map<String, Off> off = new LinkedHashMap<>();
    for (Off one : all) {
      PieceAt last = one.placed().outlet().last();
      String piece =
          anchored.contains(one.placed().piece()) ? last.piece().id() : one.placed().piece();
      if (!anchored.contains(piece)) {
        Placed placed = layout.of(piece).orElseThrow();
        off.putIfAbsent(piece, new Off(placed, one.why(), one.tooMuch()));
      }
    }
    return List.copyOf(off.values());
  }

  /** The first in the order of hanging with which anything is wrong, found by halves. */
  private Off firstBad(List<Finding> all) {
    List<Placed> hung = List.copyOf(layout.placed());
    int good = anchored.size();
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

  private Found told() {
    Telling telling = new Telling(ground.plan(), layout, ground.measured(), lessons);
    Weights aimed = asked.weights(asked.aim());
    Tally tally = Tally.of(layout, aimed);
    Cost cost = ground.cost(layout, tally, trouble.facts(layout.placed()));
    Proposal proposal =
        new Proposal(asked.aim(), telling.hung(), telling.left(pieces, stopped), cost, stopped);
    return new Found(proposal, tally.weighed(), exact);
  }
}
