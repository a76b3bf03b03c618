package hamper.check;

import hamper.catalog.Power;
import hamper.display.Controller;
import hamper.display.Plan;
import hamper.display.PoweredInput;
import hamper.display.Supply;
import hamper.facts.Facts;
import hamper.load.FeedLoad;
import hamper.load.Island;
import hamper.load.RunPower;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/** Pixels or controllers on a supply of another voltage than they are made for. */
final class SupplyVoltageCheck extends Check {
  private static final double TRIMMED = 0.05;
  private static final double ANOTHER = 0.1;
  private static final double ROUNDING = 1e-9;

  SupplyVoltageCheck() {
    super(
        "supply-voltage",
        Area.POWER,
        Severity.FAULT,
        "Supply of another voltage",
        "The voltage of each supply with that of the pixels it feeds: within 5 % it is trimmed and right, up to 10 % above a risk, and beyond 10 % either way another one, rules of thumb; and with the highest that the controller's power input takes",
        "Too much voltage destroys pixels at once; with too little they stay dark.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    Plan plan = facts.plan();
    for (RunPower run : facts.power()) {
      for (Island island : run.islands()) {
        island.reaches().forEach(reach -> check(plan, run, island, reach, out));
      }
    }
    for (Controller controller : plan.display().controllers()) {
      for (PoweredInput input : controller.powered()) {
        if (input.bank().isPresent()) {
          continue; // no model tells what its boxes stand
        }
        Supply supply = plan.existingSupply(input.supply());
        Power rating = plan.modelOf(controller).powerInputs().get(input.input() - 1);
        if (supply.volts() > rating.volts()) {
          out.accept(told(controller, input, supply, rating));
        }
      }
    }
  }

  private void check(
      Plan plan, RunPower run, Island island, Island.Reach reach, Consumer<Finding> out) {
    Optional<FeedLoad> other =
        island.feeds().stream()
            .filter(feed -> isAnother(feed, reach))
            .findFirst()
            .or(() -> island.feeds().stream().filter(feed -> isTrimmed(feed, reach)).findFirst());
    other.ifPresent(feed -> out.accept(told(plan, run, reach, feed)));
  }

  /** Whether a feed gives another voltage than pixels are made for, and not the same, trimmed. */
  static boolean isAnother(FeedLoad feed, Island.Reach reach) {
    return Math.abs(feed.volts() / reach.suppliedVolts() - 1) > ANOTHER + ROUNDING;
  }

  /** Whether a supply is trimmed higher than it is good for the pixels. */
  private static boolean isTrimmed(FeedLoad feed, Island.Reach reach) {
    return feed.volts() / reach.suppliedVolts() - 1 > TRIMMED + ROUNDING;
  }

  private Finding told(Plan plan, RunPower run, Island.Reach reach, FeedLoad feed) {
    RunPlace at = RunPlace.of(plan, run.port(), reach.from());
    String from =
        feed.supply().map(Supply::name).orElse("the supply of " + plan.written(run.port()));
    return finding(
        isAnother(feed, reach) ? Severity.FAULT : Severity.RISK,
        "%s is made for %s, and %s gives %s through %s"
            .formatted(
                plan.existingPiece(at.piece()).title(),
                Measure.rated(reach.suppliedVolts(), "V"),
                from,
                Measure.rated(feed.volts(), "V"),
                FeedWords.of(plan, feed)),
        Measure.rated(feed.volts(), "V"),
        Measure.rated(
            isAnother(feed, reach) ? reach.suppliedVolts() : reach.suppliedVolts() * (1 + TRIMMED),
            "V"),
        List.of(Subject.leg(run.port(), at.piece())));
  }

  private Finding told(Controller controller, PoweredInput input, Supply supply, Power rating) {
    return finding(
        "%s gives %s to power input %d of %s, which takes %s at most"
            .formatted(
                supply.name(),
                Measure.rated(supply.volts(), "V"),
                input.input(),
                controller.tag(),
                Measure.rated(rating.volts(), "V")),
        Measure.rated(supply.volts(), "V"),
        Measure.rated(rating.volts(), "V"),
        List.of(Subject.controller(controller.id())));
  }
}
