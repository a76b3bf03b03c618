package hamper.server.api;

import hamper.check.Facts;
import hamper.server.live.Displays;
import hamper.server.live.LiveDisplay;
import hamper.server.live.Step;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicReference;
import org.springframework.stereotype.Component;

/** Makes a step of a display, and tells every window what changed. */
@Component
class Publisher {
  private final Displays displays;
  private final Followers followers;

  /** What windows showed last, by display, so that it need not be made again for the next step. */
  private final Map<String, Shown> last = new ConcurrentHashMap<>();

  Publisher(Displays displays, Followers followers) {
    this.displays = displays;
    this.followers = followers;
  }

  /** A step: an edit, undo or redo. */
  interface Act {
    Step on(LiveDisplay live, LiveDisplay.Before before);
  }

  Delta publish(String id, Act act) {
    LiveDisplay live = displays.get(id);
    synchronized (live) {
      AtomicReference<Shown> was = new AtomicReference<>();
      AtomicReference<Shown> is = new AtomicReference<>();
      Step step =
          act.on(
              live,
              (before, after) -> {
                was.set(shown(id, before));
                is.set(was.get().with(after));
              });
      last.put(id, is.get());
      LiveDisplay.Look look = live.look();
      UndoView undo = new UndoView(look.undoLabel(), look.redoLabel());
      Delta delta = Deltas.of(step, undo, was.get(), is.get());
      // in the order of the versions, or windows would see a gap; it waits for none of them
      followers.tell(id, delta);
      return delta;
    }
  }

  private Shown shown(String id, Facts facts) {
    Shown known = last.get(id);
    return known != null && known.facts() == facts ? known : Shown.of(facts);
  }
}
