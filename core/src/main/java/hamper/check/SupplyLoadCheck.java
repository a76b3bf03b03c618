package hamper.check;

import hamper.facts.Facts;
import hamper.load.SiteLoads.SupplyLoad;
import java.util.List;
import java.util.function.Consumer;

/** A supply that gives too much. */
final class SupplyLoadCheck extends Check {
  SupplyLoadCheck() {
    super(
        "supply-load",
        Area.POWER,
        Severity.FAULT,
        "A supply gives too much",
        "The current of each supply at planned brightness, all white, over all its feeds, with its rating (fault) and with 80 % of it (risk)",
        "It shuts down when the whole display goes white, and everything on it goes dark.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    for (SupplyLoad load : facts.site().supplies()) {
      Rating.of(load.amps(), load.supply().amps(), "A")
          .ifPresent(rating -> out.accept(told(load, rating)));
    }
  }

  private Finding told(SupplyLoad load, Rating rating) {
    return finding(
        rating.severity(),
        "%s gives %s at planned brightness over %d feeds; it is rated %s"
            .formatted(load.supply().name(), rating.found(), load.feeds().size(), rating.rated()),
        rating.found(),
        rating.allowed(),
        List.of(Subject.supply(load.supply().id())));
  }
}
