package hamper.arrange;

import hamper.arrange.Progress.Phase;
import hamper.display.PieceAt;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Hangs the ends of wires elsewhere as a whole, from where they come into another zone on: a piece
 * alone would not move, since those behind it hold it there.
 */
final class Tails {
  private final Layout layout;
  private final Lessons lessons;
  private final Set<String> anchored;
  private final Progress progress;

  Tails(Layout layout, Lessons lessons, Set<String> anchored, Progress progress) {
    this.layout = layout;
    this.lessons = lessons;
    this.anchored = anchored;
    this.progress = progress;
  }

  /** Whether it was let to its end. */
  boolean done() {
    Set<Outlet> outlets = new LinkedHashSet<>();
    layout.placed().forEach(one -> outlets.add(one.outlet()));
    int done = 0;
    for (Outlet outlet : outlets) {
      if (!progress.at(Phase.MOVING, done++, outlets.size())) {
        return false;
      }
      for (int cut = outlet.pieces().size() - 1; cut >= 0 && isFree(outlet, cut); cut--) {
        if (begins(outlet, cut) && outlet.pieces().size() - cut > 1) {
          move(outlet, cut);
        }
      }
    }
    return true;
  }

  private boolean isFree(Outlet outlet, int index) {
    if (index >= outlet.pieces().size()) {
      return true; // what hung there has just moved
    }
    String piece = outlet.pieces().get(index).piece().id();
    return layout.of(piece).isPresent() && !anchored.contains(piece);
  }

  private static boolean begins(Outlet outlet, int index) {
    List<PieceAt> pieces = outlet.pieces();
    return index < pieces.size()
        && (index == 0
            || !pieces.get(index).prop().zone().equals(pieces.get(index - 1).prop().zone()));
  }

  private void move(Outlet from, int cut) {
    List<PieceAt> tail = List.copyOf(from.pieces().subList(cut, from.pieces().size()));
    takeOff(tail);
    Optional<Outlet> to = layout.best(tail.get(0), lessons).filter(other -> other != from);
    double was = hang(tail, from);
    if (to.isEmpty()) {
      return;
    }
    takeOff(tail);
    List<PieceAt> hung = new ArrayList<>();
    double sum = 0;
    for (PieceAt at : tail) {
      if (lessons.forbid(at, to.get()) || to.get().against(at).isPresent()) {
        break;
      }
      sum += layout.hang(at, to.get()).cost();
      hung.add(at);
    }
    if (hung.size() < tail.size() || sum >= was - 1e-6) {
      takeOff(hung);
      hang(tail, from);
    }
  }

  private double hang(List<PieceAt> tail, Outlet outlet) {
    double sum = 0;
    for (PieceAt at : tail) {
      sum += layout.hang(at, outlet).cost();
    }
    return sum;
  }

  private void takeOff(List<PieceAt> tail) {
    for (int i = tail.size() - 1; i >= 0; i--) {
      layout.takeOff(layout.of(tail.get(i).piece().id()).orElseThrow());
    }
  }
}
