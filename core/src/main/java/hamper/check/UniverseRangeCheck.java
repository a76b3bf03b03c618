package hamper.check;

import hamper.display.Controller;
import hamper.facts.Facts;
import java.util.List;
import java.util.function.Consumer;

/** A universe that the protocol does not have. */
final class UniverseRangeCheck implements Check {
  private static final Page PAGE =
      new Page(
          "universe-range",
          Area.ADDRESSES,
          Severity.FAULT,
          "Universe beyond the protocol",
          "Universes in use with those that the protocol has",
          "No packet can carry it: those lights stay dark.");

  @Override
  public Page page() {
    return PAGE;
  }

  @Override
  public void run(Facts facts, Consumer<Finding> out) {
    List<Controller> controllers = facts.plan().display().controllers();
    for (int i = 0; i < controllers.size(); i++) {
      Controller controller = controllers.get(i);
      facts
          .resolution()
          .blocks()
          .get(i)
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
