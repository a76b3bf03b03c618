package hamper.check;

import hamper.display.Controller;
import hamper.facts.ControllerFacts;
import hamper.facts.Facts;
import java.util.List;
import java.util.function.Consumer;

/** A universe that the protocol does not have. */
final class UniverseRangeCheck extends Check {
  UniverseRangeCheck() {
    super(
        "universe-range",
        Area.ADDRESSES,
        Severity.FAULT,
        "Universe beyond the protocol",
        "Universes in use with those that the protocol has",
        "No packet can carry it: those lights stay dark.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    for (ControllerFacts one : facts.controllers()) {
      Controller controller = one.controller();
      one.block()
          .outermostUniverses()
          .filter(universe -> !controller.protocol().hasUniverse(universe))
          .findFirst()
          .ifPresent(universe -> out.accept(told(controller, universe)));
    }
  }

  private Finding told(Controller controller, int universe) {
    String allowed =
        "%d to %d"
            .formatted(controller.protocol().firstUniverse(), controller.protocol().lastUniverse());
    return finding(
        "%s needs universe %d; %s has %s"
            .formatted(controller.tag(), universe, controller.protocol().title(), allowed),
        Measure.numbered("universe", universe),
        Measure.words("universes " + allowed),
        List.of(Subject.controller(controller.id())));
  }
}
