package hamper.check;

import hamper.facts.Facts;
import hamper.load.MainsLoad;
import java.util.List;
import java.util.function.Consumer;

/** Supplies that leak so much to earth that a residual-current breaker may trip. */
final class LeakageCheck extends Check {
  LeakageCheck() {
    super(
        "leakage",
        Area.POWER,
        Severity.RISK,
        "Supplies leak near what trips the residual-current breaker",
        "What the supplies of each mains circuit leak to earth, 1 mA each unless it is said, with 30 % of its residual-current breaker; rules of thumb",
        "The circuit goes dark for no reason that anybody finds, mostly when it is wet.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    for (MainsLoad load : facts.site().mains()) {
      load.mostLeakage()
          .filter(most -> load.leakageMilliamps() > most)
          .ifPresent(most -> out.accept(told(load, most)));
    }
  }

  private Finding told(MainsLoad load, double most) {
    Measure found = Measure.of(load.leakageMilliamps(), 1, "mA");
    return finding(
        "Supplies on mains circuit %s leak %s; its residual-current breaker of %s may trip"
            .formatted(
                load.mains().name(),
                found,
                Measure.rated(load.mains().residualMilliamps().orElseThrow(), "mA")),
        found,
        Measure.of(most, 1, "mA"),
        List.of(Subject.mains(load.mains().id())));
  }
}
