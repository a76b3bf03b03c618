package hamper.check;

import hamper.display.Controller;
import hamper.facts.Facts;
import hamper.handover.ControllerHandover;
import hamper.handover.Handed;
import hamper.handover.HandoverState;
import hamper.handover.Season;
import java.util.List;
import java.util.Optional;

/** A controller of which the plan has moved on since it was given. */
final class StaleCheck extends HandoverCheck {
  StaleCheck() {
    super(
        "stale",
        Severity.RISK,
        "The plan has moved on since it was given",
        "What the device is told now with what it was given, setting by setting",
        "It listens where nothing is sent any more, or its pixels show each other's colours.");
  }

  @Override
  Optional<Finding> found(Facts facts, Season season, int index, Handed handed) {
    ControllerHandover now = ControllerHandover.of(facts, season, index);
    if (now.state() != HandoverState.STALE) {
      return Optional.empty();
    }
    Controller controller = facts.plan().display().controllers().get(index);
    return Optional.of(
        finding(
            "%s is stale: %s".formatted(controller.tag(), named(now.differs())),
            Measure.count(now.differs().size(), "differences"),
            Measure.count(0, "differences"),
            List.of(Subject.controller(controller.id()))));
  }
}
