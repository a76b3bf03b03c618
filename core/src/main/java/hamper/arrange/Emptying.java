package hamper.arrange;

import hamper.arrange.Progress.Phase;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Empties controllers that have little on them, as long as all of it fits on others. */
final class Emptying {
  /** So many are tried at most, and fewer of many pieces: each is checked. */
  private static final int MOST_CHECKS = 60;

  private static final int MOST_PIECES_CHECKED = 60_000;

  private final Layout layout;
  private final Lessons lessons;
  private final Trouble trouble;
  private final Progress progress;
  private final Set<String> tried = new HashSet<>();
  private int checks;

  Emptying(Layout layout, Lessons lessons, Trouble trouble, Progress progress) {
    this.layout = layout;
    this.lessons = lessons;
    this.trouble = trouble;
    this.progress = progress;
  }

  /** Whether it was let to its end. */
  boolean done() {
    int most = Math.min(MOST_CHECKS, MOST_PIECES_CHECKED / Math.max(1, layout.placed().size()));
    while (checks < most) {
      Optional<Map.Entry<String, List<Placed>>> next =
          byController().entrySet().stream()
              .filter(one -> !tried.contains(one.getKey()))
              .min(Comparator.comparingInt(one -> one.getValue().size()));
      if (next.isEmpty()) {
        return true;
      }
      if (!progress.at(Phase.MAKING_ROOM, checks, most)) {
        return false;
      }
      tried.add(next.get().getKey());
      lessons.shut(next.get().getKey());
      if (!emptied(next.get().getValue())) {
        lessons.open(next.get().getKey());
      }
    }
    return true;
  }

  /** What hangs on each controller on which nothing hung, in the order of hanging. */
  private Map<String, List<Placed>> byController() {
    Map<String, List<Placed>> all = new LinkedHashMap<>();
    for (Placed one : layout.placed()) {
      if (layout.isNew(one.outlet().controller())) {
        all.computeIfAbsent(one.outlet().controller().id(), id -> new ArrayList<>()).add(one);
      }
    }
    return all;
  }

  private boolean emptied(List<Placed> all) {
    for (int i = all.size() - 1; i >= 0; i--) {
      layout.takeOff(all.get(i));
    }
    List<Placed> again = new ArrayList<>();
    for (Placed one : all) {
      Optional<Outlet> outlet = layout.best(one.at(), lessons);
      if (outlet.isEmpty() || !layout.isUsed(outlet.get().controller().id())) {
        break;
      }
      again.add(layout.hang(one.at(), outlet.get()));
    }
    if (again.size() == all.size()) {
      checks++;
      if (trouble.with(layout.placed()).isEmpty()) {
        return true;
      }
    }
    for (int i = again.size() - 1; i >= 0; i--) {
      layout.takeOff(again.get(i));
    }
    all.forEach(layout::hangBack);
    return false;
  }
}
