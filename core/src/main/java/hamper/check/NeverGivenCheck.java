package hamper.check;

import hamper.display.Controller;
import hamper.facts.Facts;
import hamper.handover.Handed;
import hamper.handover.HandoverFact;
import hamper.handover.Season;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/** A controller that was never given its configuration, once the season has begun. */
final class NeverGivenCheck extends HandoverCheck {
  NeverGivenCheck() {
    super(
        "never-given",
        Severity.RISK,
        "Never given its configuration",
        "Controllers with what was given, once anything of the display was given",
        "It shows nothing, or last year's show.");
  }

  @Override
  void run(Facts facts, Season season, Consumer<Finding> out) {
    if (!season.begun()) {
      return;
    }
    for (Controller controller : facts.plan().display().controllers()) {
      Optional<Handed> handed = season.of(controller.id());
      boolean never = handed.isEmpty() || handed.get().last().kind() == HandoverFact.Kind.REPLACED;
      if (never && !facts.plan().modelOf(controller).hostOnly()) {
        out.accept(
            finding(
                handed.isEmpty()
                    ? "%s was never given its configuration".formatted(controller.tag())
                    : "%s is another unit now, and was never given its configuration"
                        .formatted(controller.tag()),
                Measure.words("never given"),
                Measure.words("given"),
                List.of(Subject.controller(controller.id()))));
      }
    }
  }
}
