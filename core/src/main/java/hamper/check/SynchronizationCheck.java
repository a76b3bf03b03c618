package hamper.check;

import hamper.display.Controller;
import hamper.facts.Facts;
import java.util.List;
import java.util.function.Consumer;

/** Synchronization asked of a device that knows none. */
final class SynchronizationCheck extends Check {
  SynchronizationCheck() {
    super(
        "synchronization",
        Area.NETWORK,
        Severity.RISK,
        "The device does not hold frames back",
        "Synchronization as set with what the model can",
        "It shows each universe as it comes: fast pictures tear.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    for (Controller controller : facts.plan().display().controllers()) {
      String title = facts.plan().modelOf(controller).title();
      if (controller.sending().synchronization().isPresent()
          && !facts.plan().modelOf(controller).synchronizes()) {
        out.accept(
            finding(
                "%s is asked to wait for synchronization packets, and %s does not"
                    .formatted(controller.tag(), title),
                Measure.words("synchronization"),
                Measure.words("none"),
                List.of(Subject.controller(controller.id()))));
      }
    }
  }
}
