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
import java.util.function.Consumer;

/** Pixels or controllers on a supply of another voltage than they are made for. */
final class SupplyVoltageCheck implements Check {
  private static final Page PAGE =
      new Page(
          "supply-voltage",
          Area.POWER,
          Severity.FAULT,
          "Supply of another voltage",
          "The voltage of each supply with that of the pixels it feeds, and with the highest that the controller's power input takes",
          "Too much voltage destroys pixels at once; with too little they stay dark.");

  @Override
  public Page page() {
    return PAGE;
  }

  @Override
  public void run(Facts facts, Consumer<Finding> out) {
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
    for (FeedLoad feed : island.feeds()) {
      if (feed.volts() != reach.suppliedVolts()) {
        out.accept(told(plan, run, reach, feed));
        return;
      }
    }
  }

  private Finding told(Plan plan, RunPower run, Island.Reach reach, FeedLoad feed) {
    RunPlace at = RunPlace.of(plan, run.port(), reach.from());
    String from =
        feed.supply().map(Supply::name).orElse("the supply of " + plan.written(run.port()));
    return finding(
        "%s is made for %s, and %s gives %s through %s"
            .formatted(
                plan.existingPiece(at.piece()).title(),
                Measure.rated(reach.suppliedVolts(), "V"),
                from,
                Measure.rated(feed.volts(), "V"),
                FeedWords.of(plan, feed)),
        Measure.rated(feed.volts(), "V"),
        Measure.rated(reach.suppliedVolts(), "V"),
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
