package hamper.check;

import hamper.catalog.ProtocolSupport;
import hamper.display.Controller;
import hamper.facts.Facts;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Consumer;
import java.util.stream.Collectors;

/** Universe sizes that source and device do not have in common. */
final class UniverseSizeCheck extends Check {
  UniverseSizeCheck() {
    super(
        "universe-size",
        Area.INPUTS,
        Severity.FAULT,
        "Universe size differs",
        "The controller's universe size with its inputs set by hand, and with the sizes that its model can be set to",
        "The picture drifts from universe to universe; the ends of long strings are wrong or dark.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    for (Controller controller : facts.plan().display().controllers()) {
      if (controller.protocol().usesUniverses()) {
        int size = controller.settings().universeSize();
        Set<Integer> sizes =
            facts
                .plan()
                .modelOf(controller)
                .support(controller.protocol())
                .map(ProtocolSupport::universeSizes)
                .orElse(Set.of());
        if (!sizes.isEmpty() && !sizes.contains(size)) {
          out.accept(told(controller, "its model can be set to", sizes));
        }
        Set<Integer> heard = new TreeSet<>();
        controller.inputs().orElse(List.of()).forEach(range -> heard.add(range.size()));
        if (!heard.isEmpty() && !heard.equals(Set.of(size))) {
          out.accept(told(controller, "its inputs, set by hand, have", heard));
        }
      }
    }
  }

  private Finding told(Controller controller, String who, Set<Integer> sizes) {
    int size = controller.settings().universeSize();
    String told = sizes.stream().sorted().map(String::valueOf).collect(Collectors.joining(" or "));
    return finding(
        "%s is sent universes of %d channels, and %s %s"
            .formatted(controller.tag(), size, who, told),
        Measure.count(size, "channels"),
        Measure.named(told + " channels"),
        List.of(Subject.controller(controller.id())));
  }
}
