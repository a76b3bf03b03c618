package hamper.check;

import hamper.display.Plan;
import hamper.facts.Facts;
import hamper.load.Island;
import hamper.load.RunPower;
import java.util.List;
import java.util.function.Consumer;

/** Pixels that nothing feeds. */
final class NoFeedCheck extends Check {
  NoFeedCheck() {
    super(
        "no-feed",
        Area.POWER,
        Severity.FAULT,
        "No power comes in",
        "Each part of a run whose positive is joined, with one feed at least: behind a joint that cuts positive, or a plug for data only, power has to come from elsewhere",
        "Everything from there on stays dark.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    for (RunPower run : facts.power()) {
      for (Island island : run.islands()) {
        if (island.feeds().isEmpty()) {
          out.accept(told(facts.plan(), run, island));
        }
      }
    }
  }

  private Finding told(Plan plan, RunPower run, Island island) {
    int places = island.to() - island.from() + 1;
    return finding(
        "Nothing feeds %d pixels from %s on, on %s: positive does not pass its plug"
            .formatted(
                places, plan.existingPiece(island.piece()).title(), plan.written(run.port())),
        Measure.count(0, "feeds"),
        Measure.told(1, "feed", "1 feed or more"),
        List.of(Subject.leg(run.port(), island.piece())));
  }
}
