package hamper.arrange;

import hamper.arrange.Progress.Phase;
import hamper.display.PieceAt;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Finds places for what was left, by giving it a port on which other pieces were hung just now that
 * have a place elsewhere too.
 */
final class MakingRoom {
  /** So many ways are checked at most, and fewer of many pieces. */
  private static final int MOST_CHECKS = 120;

  private static final int MOST_PIECES_CHECKED = 120_000;

  /** Ports that are tried for one piece. */
  private static final int MOST_PORTS = 12;

  private final Layout layout;
  private final List<PieceAt> pieces;
  private final Lessons lessons;
  private final Trouble trouble;
  private final Progress progress;
  private int checks;

  MakingRoom(
      Layout layout, List<PieceAt> pieces, Lessons lessons, Trouble trouble, Progress progress) {
    this.layout = layout;
    this.pieces = pieces;
    this.lessons = lessons;
    this.trouble = trouble;
    this.progress = progress;
  }

  /** Whether it was let to its end. */
  boolean done() {
    int most = Math.min(MOST_CHECKS, MOST_PIECES_CHECKED / Math.max(1, pieces.size()));
    for (PieceAt at : pieces) {
      if (layout.of(at.piece().id()).isEmpty()) {
        if (checks >= most) {
          return true;
        }
        if (!progress.at(Phase.MAKING_ROOM, checks, most)) {
          return false;
        }
        find(at);
      }
    }
    return true;
  }

  private void find(PieceAt at) {
    List<Outlet> taken =
        layout.boards(at.piece().portKind()).stream()
            .flatMap(board -> board.outlets().stream())
            .filter(this::isOwn)
            .sorted(Comparator.comparingDouble(outlet -> metresTo(at, outlet)))
            .limit(MOST_PORTS)
            .toList();
    for (Outlet outlet : taken) {
      if (found(at, outlet)) {
        return;
      }
    }
  }

  private double metresTo(PieceAt at, Outlet outlet) {
    return layout.metres(outlet.controller(), at);
  }

  /** Whether all that hangs on it was hung just now. */
  private boolean isOwn(Outlet outlet) {
    return !outlet.empty()
        && outlet.pieces().stream().allMatch(at -> layout.of(at.piece().id()).isPresent());
  }

  private boolean found(PieceAt at, Outlet outlet) {
    List<Placed> before =
        outlet.pieces().stream().map(one -> layout.of(one.piece().id()).orElseThrow()).toList();
    takeOff(before);
    if (outlet.against(at).isEmpty()) {
      List<Placed> now = new ArrayList<>();
      now.add(layout.hang(at, outlet));
      if (isRight()) {
        lessons.shut(outlet.ref());
        for (Placed one : before) {
          Optional<Outlet> elsewhere = layout.best(one.at(), lessons);
          elsewhere.ifPresent(other -> now.add(layout.hang(one.at(), other)));
        }
        lessons.open(outlet.ref());
        if (now.size() == before.size() + 1 && isRight()) {
          return true;
        }
      }
      takeOff(now);
    }
    before.forEach(layout::hangBack);
    return false;
  }

  private boolean isRight() {
    checks++;
    return trouble.with(layout.placed()).isEmpty();
  }

  private void takeOff(List<Placed> all) {
    for (int i = all.size() - 1; i >= 0; i--) {
      layout.takeOff(all.get(i));
    }
  }
}
