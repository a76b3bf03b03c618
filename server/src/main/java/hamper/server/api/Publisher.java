package hamper.server.api;

import hamper.server.live.Displays;
import hamper.server.live.LiveDisplay;
import hamper.server.live.Step;
import org.springframework.stereotype.Component;

/** Makes a step of a display, and tells every window what changed. */
@Component
class Publisher {
  private final Displays displays;
  private final DisplayEvents events;

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
      Delta delta = Deltas.of(step, new UndoView(look.undoLabel(), look.redoLabel()));
      // in the order of the versions, or windows would see a gap
      events.publish(id, delta);
      return delta;
    }
  }
}
