package hamper.server.live;

import hamper.display.HungLeg;
import hamper.display.Plan;
import hamper.edit.Restore;
import hamper.server.store.DisplayStore;
import hamper.server.store.LogEntry;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.springframework.stereotype.Component;

/** Which strings the plan has on another port than it had: for whoever read an earlier version. */
@Component
public class Replugged {
  /** More steps are not walked back. */
  private static final int MOST_STEPS = 300;

  private final DisplayStore store;

  public Replugged(DisplayStore store) {
    this.store = store;
  }

  /**
   * A piece on another port.
   *
   * @param from as it is written on a tag; empty where it hung nowhere
   * @param to the same; empty where it hangs nowhere now
   * @param at when it was moved last
   * @param by who moved it; may be empty
   */
  public record Move(
      String piece, Optional<String> from, Optional<String> to, Instant at, String by) {}

  /**
   * @param whole whether all steps since then were looked at
   */
  public record Moves(int version, boolean whole, List<Move> moves) {}

  private record Last(Instant at, String by) {}

  /** Since a version, by the ids of the pieces. */
  public Moves since(LiveDisplay live, int version) {
    LiveDisplay.Look now = live.look();
    Plan plan = now.facts().plan();
    Map<String, String> sockets = sockets(plan);
    Map<String, String> later = sockets;
    Map<String, Last> moved = new TreeMap<>();
    List<LogEntry.Head> log = store.log(live.id(), version);
    int steps = 0;
    for (int i = log.size() - 1; i >= 0 && steps < MOST_STEPS; i--) {
      LogEntry.Head entry = log.get(i);
      if (entry.version() > now.version() || entry.version() <= version) {
        continue;
      }
      Restore inverse = store.inverse(live.id(), entry.version());
      plan = plan.with(inverse.change(plan));
      Map<String, String> earlier = sockets(plan);
      differing(earlier, later)
          .forEach(piece -> moved.putIfAbsent(piece, new Last(entry.at(), entry.by())));
      later = earlier;
      steps++;
    }
    List<Move> moves = new ArrayList<>();
    for (Map.Entry<String, Last> one : moved.entrySet()) {
      Optional<String> from = Optional.ofNullable(later.get(one.getKey()));
      Optional<String> to = Optional.ofNullable(sockets.get(one.getKey()));
      if (!from.equals(to)) {
        moves.add(new Move(one.getKey(), from, to, one.getValue().at(), one.getValue().by()));
      }
    }
    return new Moves(now.version(), steps >= now.version() - version, moves);
  }

  private static Map<String, String> sockets(Plan plan) {
    Map<String, String> sockets = new HashMap<>();
    plan.runs()
        .forEach(
            run -> {
              for (HungLeg leg : run.legs()) {
                sockets.put(leg.at().piece().id(), run.written());
              }
            });
    return sockets;
  }

  private static List<String> differing(Map<String, String> earlier, Map<String, String> later) {
    List<String> all = new ArrayList<>();
    later.forEach(
        (piece, port) -> {
          if (!port.equals(earlier.get(piece))) {
            all.add(piece);
          }
        });
    earlier.keySet().stream().filter(piece -> !later.containsKey(piece)).forEach(all::add);
    return all;
  }
}
