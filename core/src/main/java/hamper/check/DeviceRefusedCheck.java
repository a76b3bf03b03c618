package hamper.check;

import hamper.display.Controller;
import hamper.facts.Facts;
import hamper.handover.Handed;
import hamper.handover.HandoverFact;
import hamper.handover.Season;
import java.util.List;
import java.util.Optional;

/** A device that refused what it is told. */
final class DeviceRefusedCheck extends HandoverCheck {
  DeviceRefusedCheck() {
    super(
        "device-refused",
        Severity.FAULT,
        "The device refused what it is told",
        "What the device answered when it was given its configuration, such as that it is another model",
        "It goes on as before, or shows nothing: another device stands there than was planned.");
  }

  @Override
  Optional<Finding> found(Facts facts, Season season, int index, Handed handed) {
    Controller controller = facts.plan().display().controllers().get(index);
    if (handed.last().kind() != HandoverFact.Kind.REFUSED) {
      return Optional.empty();
    }
    return Optional.of(
        finding(
            "%s refused what it is told: %s".formatted(controller.tag(), handed.last().why()),
            Measure.named(handed.last().why()),
            Measure.words("a " + facts.plan().modelOf(controller).title()),
            List.of(Subject.controller(controller.id()))));
  }
}
