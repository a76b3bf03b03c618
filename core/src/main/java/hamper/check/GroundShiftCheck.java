package hamper.check;

import hamper.facts.Facts;
import hamper.load.FeedLoad;
import hamper.load.Island;
import hamper.load.RunPower;
import java.util.function.Consumer;

/** A negative that is lifted so far that data is no longer read. */
final class GroundShiftCheck extends Check {
  private static final double MOST_VOLTS = 0.5;

  GroundShiftCheck() {
    super(
        "ground-shift",
        Area.DATA,
        Severity.RISK,
        "Negative is lifted by a long lead",
        "Half the drop over a feed's lead at planned brightness, all white, with 0.5 V, a rule of thumb for data of 5 V",
        "Pixels near that feed flicker or take wrong colours as soon as it gets bright.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    for (RunPower run : facts.power()) {
      for (Island island : run.islands()) {
        for (FeedLoad feed : island.feeds()) {
          if (feed.groundShiftVolts() > MOST_VOLTS) {
            out.accept(told(facts, feed));
          }
        }
      }
    }
  }

  private Finding told(Facts facts, FeedLoad feed) {
    Measure shift = Measure.of(feed.groundShiftVolts(), 2, "V");
    return finding(
        "%s lifts negative by %s: %s through %s of %s"
            .formatted(
                FeedWords.capital(FeedWords.of(facts.plan(), feed)),
                shift,
                Measure.amps(feed.amps()),
                Measure.rated(feed.lead().metres(), "m"),
                feed.gauge()),
        shift,
        Measure.rated(MOST_VOLTS, "V"),
        FeedWords.subjects(feed));
  }
}
