package hamper.check;

import hamper.address.Protocol;
import hamper.display.Controller;
import hamper.facts.ControllerFacts;
import hamper.facts.Facts;
import java.util.List;
import java.util.function.Consumer;

/** A controller that nobody sends to. */
final class NoSourceCheck extends Check {
  NoSourceCheck() {
    super(
        "no-source",
        Area.COMPLETENESS,
        Severity.RISK,
        "Controller without a source",
        "Controllers that need levels with those that name their source",
        "Nobody feeds it: it stays dark, or plays what is left in its storage.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    boolean hosts =
        facts.plan().display().controllers().stream().anyMatch(c -> c.protocol() == Protocol.NONE);
    for (ControllerFacts one : facts.controllers()) {
      Controller controller = one.controller();
      // as long as no computer is in the plan, it is not the controllers that lack something
      if (hosts && one.sentTo() && controller.settings().source().isEmpty()) {
        out.accept(
            finding(
                "%s %s names no source".formatted(controller.tag(), controller.name()),
                Measure.words("no source"),
                Measure.words("a host of the display"),
                List.of(Subject.controller(controller.id()))));
      }
    }
  }
}
