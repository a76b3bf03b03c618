package hamper.check;

import hamper.config.Configuration;
import hamper.config.Output;
import hamper.display.Controller;
import hamper.facts.Facts;
import hamper.handover.Handed;
import hamper.handover.HandoverFact;
import hamper.handover.Season;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Outputs that a device still has and the plan does not use. */
final class OutputsLeftCheck extends HandoverCheck {
  OutputsLeftCheck() {
    super(
        "outputs-left",
        Severity.RISK,
        "Unused ports are still configured",
        "Outputs that the device says it has with those that the plan uses",
        "Last year's strings light along, or the device runs out of universes.");
  }

  @Override
  Optional<Finding> found(Facts facts, Season season, int index, Handed handed) {
    if (handed.last().kind() != HandoverFact.Kind.DIFFERENT) {
      return Optional.empty();
    }
    Set<String> used =
        facts.controllers().get(index).runs().stream()
            .filter(run -> !run.run().legs().isEmpty())
            .map(run -> "%s %d".formatted(run.port().kind(), run.port().port()))
            .collect(Collectors.toSet());
    List<String> left =
        handed.last().told().map(Configuration::outputs).orElse(List.of()).stream()
            .filter(Output::used)
            .filter(output -> !used.contains("%s %d".formatted(output.kind(), output.port())))
            .map(Output::label)
            .toList();
    if (left.isEmpty()) {
      return Optional.empty();
    }
    Controller controller = facts.plan().display().controllers().get(index);
    return Optional.of(
        finding(
            "%s still has outputs configured that are unused now: %s"
                .formatted(controller.tag(), String.join(", ", left)),
            Measure.count(left.size(), "outputs"),
            Measure.count(0, "outputs"),
            List.of(Subject.controller(controller.id()))));
  }
}
