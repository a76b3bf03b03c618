package hamper.check;

import hamper.display.Plan;
import hamper.facts.Facts;
import hamper.load.Island;
import hamper.load.RunPower;
import hamper.load.Volts;
import java.util.function.Consumer;

/** A run that does not survive the loss of one of its feeds. */
final class FeedLostCheck extends Check {
  FeedLostCheck() {
    super(
        "feed-lost",
        Area.POWER,
        Severity.HINT,
        "One feed lost is too many",
        "The lowest voltage at planned brightness with any one of several feeds lost, with the least that the pixel type works at",
        "When a fuse blows or a plug comes off, more than its neighbours turn brown.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    for (RunPower run : facts.power()) {
      for (Island island : run.islands()) {
        island
            .worstLoss()
            .filter(loss -> loss.low().volts() < loss.leastVolts() && wellNow(island))
            .ifPresent(loss -> out.accept(told(facts.plan(), run, island, loss)));
      }
    }
  }

  private static boolean wellNow(Island island) {
    return island.reaches().stream()
        .flatMap(reach -> reach.volts().map(low -> low.volts() >= reach.leastVolts()).stream())
        .allMatch(enough -> enough);
  }

  private Finding told(Plan plan, RunPower run, Island island, Island.Loss loss) {
    var lost = island.feeds().get(loss.feed());
    return finding(
        Severity.HINT,
        "Without %s, %s %s at planned brightness; it works from %s"
            .formatted(
                FeedWords.of(plan, lost),
                FeedWords.place(plan, run.port(), loss.low().position()),
                FeedWords.gets(loss.low().volts()),
                Volts.needed(loss.leastVolts())),
        FeedWords.volts(loss.low().volts()),
        FeedWords.needed(loss.leastVolts()),
        FeedWords.subjects(lost));
  }
}
