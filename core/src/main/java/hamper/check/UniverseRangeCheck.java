package hamper.check;

import hamper.display.Controller;
import hamper.resolve.ControllerBlock;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.Stream;

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
      Stream<Integer> used = universes(facts.resolution().blocks().get(i));
      used.filter(universe -> !controller.protocol().hasUniverse(universe))
          .findFirst()
          .ifPresent(universe -> out.accept(told(controller, universe)));
    }
  }

  private static Stream<Integer> universes(ControllerBlock block) {
    Stream<Integer> flowing =
        block.flowingUniverses() == 0
            ? Stream.empty()
            : Stream.concat(block.firstUniverse().stream(), block.lastFlowingUniverse().stream());
    return Stream.concat(flowing, block.dmxUniverses().values().stream());
  }

  private Finding told(Controller controller, int universe) {
    String allowed =
        "%d to %d"
            .formatted(controller.protocol().firstUniverse(), controller.protocol().lastUniverse());
    return finding(
        "%s needs universe %d; %s has %s"
            .formatted(controller.tag(), universe, controller.protocol().title(), allowed),
        "universe " + universe,
        "universes " + allowed,
        List.of(Subject.controller(controller.id())));
  }
}
