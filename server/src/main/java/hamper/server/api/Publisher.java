package hamper.server.api;

import hamper.check.Facts;
import hamper.server.live.Displays;
import hamper.server.live.LiveDisplay;
import hamper.server.live.Step;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;

/** Makes a step of a display, and tells every window what changed. */
@Component
class Publisher {
  private final Displays displays;
  private final DisplayEvents events;

  /** What windows showed last, by display, so that it need not be made again for the next step. */
  private final Map<String, Shown> last = new ConcurrentHashMap<>();

  Publisher(Displays displays, DisplayEvents events) {
    this.displays = displays;
    this.events = events;
  }

  /** A step: an edit, undo or redo. */
  interface Act {
    Step on(LiveDisplay live);
  }

  Delta publish(String id, Act act) {
    LiveDisplay live = displays.get(id);
    synchronized (live) {
      Step step = act.on(live);
      LiveDisplay.Look look = live.look();
      Shown was = shown(id, step.before());
      Shown is = was.with(step.after());
      last.put(id, is);
      UndoView undo = new UndoView(look.undoLabel(), look.redoLabel());
      Delta delta = Deltas.of(step, undo, was, is);
      // in the order of the versions, or windows would see a gap
      events.publish(id, delta);
      return delta;
    }
  }

  private Shown shown(String id, Facts facts) {
    Shown known = last.get(id);
    return known != null && known.facts() == facts ? known : Shown.of(facts);
  }
}
