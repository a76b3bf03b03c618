package hamper.check;

import hamper.facts.Facts;
import hamper.load.MainsLoad;
import java.util.List;
import java.util.function.Consumer;

/** A mains circuit that carries too much. */
final class MainsLoadCheck extends Check {
  MainsLoadCheck() {
    super(
        "mains-load",
        Area.POWER,
        Severity.FAULT,
        "A mains circuit carries too much",
        "The power taken from each mains circuit at planned brightness, all white, losses of supplies and other loads included, with its breaker (fault) and with 80 % of it (risk)",
        "The breaker trips, and everything on that circuit goes dark at once.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    for (MainsLoad load : facts.site().mains()) {
      Rating.of(load.watts(), load.mains().watts(), "W")
          .ifPresent(
              rating ->
                  out.accept(
                      finding(
                          rating.severity(),
                          "Mains circuit %s carries %s at planned brightness; its breaker lets %s through (%s at %s)"
                              .formatted(
                                  load.mains().name(),
                                  rating.found(),
                                  rating.rated(),
                                  Measure.rated(load.mains().amps(), "A"),
                                  Measure.rated(load.mains().volts(), "V")),
                          rating.found(),
                          rating.allowed(),
                          List.of(Subject.mains(load.mains().id())))));
    }
  }
}
