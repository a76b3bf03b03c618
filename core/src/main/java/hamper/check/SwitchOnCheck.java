package hamper.check;

import hamper.facts.Facts;
import hamper.load.MainsLoad;
import java.util.List;
import java.util.function.Consumer;

/** Supplies that take so much at once that a breaker may trip when they are switched on. */
final class SwitchOnCheck extends Check {
  SwitchOnCheck() {
    super(
        "switch-on",
        Area.POWER,
        Severity.HINT,
        "A breaker may trip when supplies are switched on",
        "What all supplies of each mains circuit take in the moment of switching on, 10 times what they take at their rating unless it is said, with what a breaker of its kind lets through for a moment: 3 (B), 5 (C) or 10 (D) times its rating; rules of thumb",
        "The breaker trips as soon as the power is turned on. Switch supplies on one after another, or share them out.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    for (MainsLoad load : facts.site().mains()) {
      load.mains()
          .switchOnAmps()
          .filter(most -> load.switchOnAmps() > most)
          .ifPresent(
              most -> {
                Measure found = Measure.of(load.switchOnAmps(), 0, "A");
                Measure allowed = Measure.of(most, 0, "A");
                out.accept(
                    finding(
                        "Supplies on mains circuit %s take %s when switched on; its breaker, %s %s, lets %s through for a moment"
                            .formatted(
                                load.mains().name(),
                                found,
                                load.mains().breaker().orElseThrow(),
                                Measure.rated(load.mains().amps(), "A"),
                                allowed),
                        found,
                        allowed,
                        List.of(Subject.mains(load.mains().id()))));
              });
    }
  }
}
