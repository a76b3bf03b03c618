package hamper.check;

import hamper.catalog.ProtocolSupport;
import hamper.config.Inputs;
import hamper.display.Controller;
import hamper.facts.ControllerFacts;
import hamper.facts.Facts;
import java.util.List;
import java.util.function.Consumer;

/** More universes than the model listens to. */
final class InputsBeyondModelCheck extends Check {
  InputsBeyondModelCheck() {
    super(
        "inputs-beyond-model",
        Area.INPUTS,
        Severity.FAULT,
        "More universes than the model takes",
        "Universes that the outputs need, or that inputs set by hand name, with the most that the model takes on this protocol",
        "What lies beyond its last input stays dark.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    for (ControllerFacts one : facts.controllers()) {
      Controller controller = one.controller();
      int needed = Inputs.count(facts.plan(), controller, one.block(), one.placements());
      facts
          .plan()
          .modelOf(controller)
          .support(controller.protocol())
          .flatMap(ProtocolSupport::mostUniverses)
          .filter(most -> needed > most)
          .ifPresent(most -> out.accept(told(controller, needed, most)));
    }
  }

  private Finding told(Controller controller, int needed, int most) {
    return finding(
        "%s needs %d universes; its model takes %d on %s"
            .formatted(controller.tag(), needed, most, controller.protocol().title()),
        Measure.count(needed, "universes"),
        Measure.count(most, "universes"),
        List.of(Subject.controller(controller.id())));
  }
}
