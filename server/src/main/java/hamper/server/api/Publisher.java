package hamper.server.api;

import hamper.facts.Facts;
import hamper.server.live.Displays;
import hamper.server.live.LiveDisplay;
import hamper.server.live.Step;
import java.util.concurrent.atomic.AtomicReference;
import org.springframework.stereotype.Component;

/** Makes a step of a display, and tells every window what changed. */
@Component
class Publisher {
  private final Displays displays;
  private final Followers followers;
  private final Standings standings;
  private final CrewStreams crew;

  Publisher(Displays displays, Followers followers, Standings standings, CrewStreams crew) {
    this.displays = displays;
    this.followers = followers;
    this.standings = standings;
    this.crew = crew;
  }

  /** A step: an edit, undo or redo. */
  interface Act {
    Step on(LiveDisplay live, LiveDisplay.Before before);
  }

  Delta publish(String id, Act act) {
    return publish(id, true, act);
  }

  /**
   * @param startsMayMove where starts keep still: whether those may move that have to
   */
  Delta publish(String id, boolean startsMayMove, Act act) {
    LiveDisplay live = displays.get(id);
    synchronized (live) {
      AtomicReference<Standing> was = new AtomicReference<>();
      AtomicReference<Standing> is = new AtomicReference<>();
      Step step =
          act.on(
              live,
              new LiveDisplay.Before() {
                @Override
                public void storing(Facts before, Facts after) {
                  was.set(standings.of(id, before));
                  is.set(was.get().with(after));
                }

                @Override
                public boolean startsMayMove() {
                  return startsMayMove;
                }

                @Override
                public String by() {
                  return Who.now();
                }
              });
      standings.become(id, is.get());
      LiveDisplay.Look look = live.look();
      UndoView undo = new UndoView(look.undoLabel(), look.redoLabel());
      Delta delta = Deltas.of(step, undo, was.get().shown(), is.get().shown());
      // in the order of the versions, or windows would see a gap; it waits for none of them
      followers.tell(id, delta);
      crew.tellPlan(id, delta.version());
      return delta;
    }
  }
}
