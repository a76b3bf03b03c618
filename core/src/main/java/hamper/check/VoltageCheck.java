package hamper.check;

import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.facts.Facts;
import hamper.load.Island;
import hamper.load.RunPower;
import hamper.load.Volts;
import java.util.List;
import java.util.function.Consumer;

/** Pixels that get too little voltage. */
final class VoltageCheck extends Check {
  VoltageCheck() {
    super(
        "voltage-low",
        Area.POWER,
        Severity.FAULT,
        "Too little voltage along a run",
        "The lowest voltage at planned brightness, all white, with the least that the pixel type works at (fault), and with 5 % more (risk)",
        "White turns yellow, then brown, towards that place; colours flicker.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    for (RunPower run : facts.power()) {
      for (Island island : run.islands()) {
        for (Island.Reach reach : island.reaches()) {
          if (low(island, reach)) {
            out.accept(told(facts.plan(), run.port(), reach));
          }
        }
      }
    }
  }

  /** Where the supply is of another voltage, that is what is told. */
  private static boolean low(Island island, Island.Reach reach) {
    return reach.volts().isPresent()
        && reach.volts().get().volts() < reach.plannedVolts()
        && island.feeds().stream().noneMatch(feed -> SupplyVoltageCheck.isAnother(feed, reach));
  }

  private Finding told(Plan plan, PortRef port, Island.Reach reach) {
    Island.Low low = reach.volts().orElseThrow();
    boolean fault = low.volts() < reach.leastVolts();
    RunPlace at = RunPlace.of(plan, port, low.position());
    String full =
        reach
            .fullVolts()
            .map(at100 -> ", %s at 100 %%".formatted(Volts.shown(at100.volts())))
            .orElse("");
    return finding(
        fault ? Severity.FAULT : Severity.RISK,
        "%s on %s %s at planned brightness%s; it works from %s"
            .formatted(
                FeedWords.capital(FeedWords.place(plan, port, low.position())),
                plan.written(port),
                FeedWords.gets(low.volts()),
                full,
                Volts.needed(reach.leastVolts())),
        FeedWords.volts(low.volts()),
        FeedWords.needed(fault ? reach.leastVolts() : reach.plannedVolts()),
        List.of(Subject.leg(port, at.piece())));
  }
}
