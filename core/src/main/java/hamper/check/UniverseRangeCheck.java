package hamper.check;

import hamper.display.Controller;
import hamper.resolve.ControllerBlock;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.Stream;

/** A universe that the protocol does not have. */
final class UniverseRangeCheck implements Check {
  @Override
  public String code() {
    return "universe-range";
  }

  @Override
  public String title() {
    return "Universe beyond the protocol";
  }

  @Override
  public Severity severity() {
    return Severity.FAULT;
  }

  @Override
  public String yard() {
    return "No packet can carry it: those lights stay dark.";
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
