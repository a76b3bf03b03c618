package hamper.server.output;

import hamper.facts.Facts;
import hamper.server.live.LiveDisplay;
import java.io.IOException;
import java.time.InstantSource;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;

/** Light of one plan that does not change, from one who wants it, to its end. */
public final class OneLight {
  /** How often it is looked whether it is over (ms). */
  private static final long LOOK_MILLIS = 50;

  private final Session session;

  /**
   * @param told of how it goes, about once a second
   */
  public OneLight(Facts facts, Ground ground, int groupTtl, Consumer<OutputState> told) {
    LiveDisplay.Look look = new LiveDisplay.Look(facts, 1, Optional.empty(), Optional.empty());
    session =
        new Session(
            "", () -> look, ground, Source.ofTtl(groupTtl), Set.of(), InstantSource.system(), told);
  }

  /** Sends until its time is over, or it is stopped. */
  public OutputState send(Output.Wanted wanted) throws IOException, InterruptedException {
    session.prepare(wanted.storage());
    session.light(wanted);
    session.start();
    while (session.running()) {
      Thread.sleep(LOOK_MILLIS);
    }
    return session.state();
  }

  /** Safe states and black, three times, then its end is told. */
  public void stop() throws InterruptedException {
    if (session.running()) {
      session.stop(0);
    }
  }
}
