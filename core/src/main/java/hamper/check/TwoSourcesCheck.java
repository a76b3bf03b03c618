package hamper.check;

import hamper.address.Protocol;
import hamper.display.Controller;
import hamper.display.Plan;
import hamper.facts.Facts;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/** Two sources that feed one device at once. */
final class TwoSourcesCheck extends Check {
  TwoSourcesCheck() {
    super(
        "two-sources",
        Area.NETWORK,
        Severity.FAULT,
        "Two sources feed one device",
        "Sources of one controller: a backup of lower priority is right on E1.31; Art-Net and DDP know no priority, and a backup that is the source itself is none",
        "It follows the one and the other by turns: it stutters.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    for (Controller controller : facts.plan().display().controllers()) {
      Optional<String> source = controller.settings().source();
      Optional<String> backup = controller.sending().backup();
      boolean known = source.isPresent() && backup.isPresent();
      if (known && controller.protocol() != Protocol.E131) {
        out.accept(
            told(
                facts.plan(),
                controller,
                "%s knows no priority".formatted(controller.protocol().title())));
      } else if (known && source.equals(backup)) {
        out.accept(told(facts.plan(), controller, "its backup is its source"));
      }
    }
  }

  private Finding told(Plan plan, Controller controller, String why) {
    String source = plan.existingController(controller.settings().source().orElseThrow()).tag();
    String backup = plan.existingController(controller.sending().backup().orElseThrow()).tag();
    return finding(
        "%s is fed by %s and by %s, and %s".formatted(controller.tag(), source, backup, why),
        Measure.count(2, "sources"),
        Measure.told(1, "source", "1 source, or a backup of lower priority on E1.31"),
        List.of(Subject.controller(controller.id())));
  }
}
