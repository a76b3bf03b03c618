package hamper.server.live;

import hamper.change.Difference;
import hamper.change.Moves;
import hamper.display.Display;
import hamper.display.Plan;
import hamper.edit.Restore;
import hamper.facts.Facts;
import hamper.resolve.Resolution;
import hamper.resolve.Resolver;
import hamper.server.store.DisplayStore;
import hamper.server.store.LogEntry;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Displays as they were: every step of the log knows how it is taken back. */
@Component
public class Earlier {
  private final DisplayStore store;

  public Earlier(DisplayStore store) {
    this.store = store;
  }

  /**
   * A step, with what it wrote.
   *
   * @param after the display that it made
   * @param moved which legs got other addresses; empty where none did
   */
  public record Was(LogEntry.Head entry, Difference difference, Display after, String moved) {}

  /**
   * @param steps the latest first
   * @param more whether there are earlier ones
   */
  public record Walk(List<Was> steps, boolean more) {}

  /**
   * Steps from the latest back.
   *
   * @param before only those that led to an earlier version
   * @param most so many
   */
  public Walk walk(LiveDisplay live, int before, int most) {
    LiveDisplay.Look now = live.look();
    List<LogEntry.Head> log = store.log(live.id());
    List<Was> steps = new ArrayList<>();
    Plan plan = now.facts().plan();
    Resolution resolution = now.facts().resolution();
    for (int i = log.size() - 1; i >= 0 && steps.size() < most; i--) {
      LogEntry.Head entry = log.get(i);
      if (entry.version() > now.version()) {
        continue;
      }
      Plan earlier = back(live, plan, entry);
      if (entry.version() < before) {
        Resolution then = Resolver.resolve(earlier);
        steps.add(
            new Was(
                entry,
                Difference.between(earlier.display(), plan.display()),
                plan.display(),
                Moves.between(then, resolution).told(plan)));
        resolution = then;
      } else if (entry.version() == before) {
        resolution = Resolver.resolve(earlier);
      }
      plan = earlier;
    }
    boolean more =
        !log.isEmpty()
            && (steps.isEmpty()
                || steps.get(steps.size() - 1).entry().version() > log.get(0).version());
    return new Walk(steps, more);
  }

  /** The plan before a step. */
  private Plan back(LiveDisplay live, Plan plan, LogEntry.Head entry) {
    Restore inverse = store.inverse(live.id(), entry.version());
    return plan.with(inverse.change(plan));
  }

  /** The display as it was at a version; empty where there was none. */
  public Optional<LiveDisplay.Look> at(LiveDisplay live, int version) {
    LiveDisplay.Look now = live.look();
    if (version < 1 || version > now.version()) {
      return Optional.empty();
    }
    List<LogEntry.Head> log = store.log(live.id(), version);
    Plan plan = now.facts().plan();
    for (int i = log.size() - 1; i >= 0; i--) {
      if (log.get(i).version() <= now.version()) {
        plan = back(live, plan, log.get(i));
      }
    }
    return Optional.of(
        new LiveDisplay.Look(Facts.of(plan), version, Optional.empty(), Optional.empty()));
  }
}
