package hamper.arrange;

import hamper.arrange.Progress.Phase;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Moves pieces that hang, one after the other, where it saves more than moving costs and brings
 * nothing that is wrong. Only what is last on its wire; so nothing behind it is disturbed.
 */
final class Moving {
  /** So many moves are checked at most, and fewer of many pieces. */
  private static final int MOST_CHECKS = 200;

  private static final int MOST_PIECES_CHECKED = 60_000;

  private final Layout layout;
  private final Weights weights;
  private final Set<String> anchored;
  private final Lessons lessons;
  private final Trouble trouble;
  private final Progress progress;

  Moving(
      Layout layout,
      Weights weights,
      Set<String> anchored,
      Lessons lessons,
      Trouble trouble,
      Progress progress) {
    this.layout = layout;
    this.weights = weights;
    this.anchored = anchored;
    this.lessons = lessons;
    this.trouble = trouble;
    this.progress = progress;
  }

  /** Whether it was let to its end. */
  boolean done() {
    int most = Math.min(MOST_CHECKS, MOST_PIECES_CHECKED / Math.max(1, layout.placed().size()));
    int checks = 0;
    for (Placed one : List.copyOf(layout.placed())) {
      boolean last = one.outlet().endsWith(one.piece());
      if (!anchored.contains(one.piece()) || !last || checks >= most) {
        continue;
      }
      if (!progress.at(Phase.MOVING, checks, most)) {
        return false;
      }
      checks += moved(one) ? 1 : 0;
    }
    return true;
  }

  /** Tries to move one; whether that had to be checked. */
  private boolean moved(Placed one) {
    layout.takeOff(one);
    double was = layout.cost(one.at(), one.outlet()) - weights.move();
    Optional<Outlet> better =
        layout
            .best(one.at(), lessons)
            .filter(outlet -> outlet != one.outlet() && layout.cost(one.at(), outlet) < was);
    if (better.isEmpty()) {
      layout.hangBack(one);
      return false;
    }
    Placed now = layout.hang(one.at(), better.get());
    if (!trouble.with(layout.placed()).isEmpty()) {
      layout.takeOff(now);
      layout.hangBack(one);
    }
    return true;
  }
}
