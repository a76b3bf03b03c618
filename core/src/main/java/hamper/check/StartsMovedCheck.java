package hamper.check;

import hamper.change.AddressAt;
import hamper.change.MovedAddress;
import hamper.display.Controller;
import hamper.facts.Facts;
import hamper.handover.Handed;
import hamper.handover.Season;
import java.util.List;
import java.util.Optional;

/** Starts that moved since their controller was given. */
final class StartsMovedCheck extends HandoverCheck {
  StartsMovedCheck() {
    super(
        "starts-moved",
        Severity.RISK,
        "Starts moved although the controller was given",
        "Each start address with the one it had when its controller was given",
        "What was made for the show before lights the wrong props.");
  }

  @Override
  Optional<Finding> found(Facts facts, Season season, int index, Handed handed) {
    List<MovedAddress> moved =
        MovedAddress.between(
                handed.addresses(), AddressAt.of(facts.plan(), facts.resolution(), index))
            .stream()
            // what hangs elsewhere now was moved by somebody's hand
            .filter(one -> one.was().written().equals(one.is().written()) && one.startMoved())
            .toList();
    if (moved.isEmpty()) {
      return Optional.empty();
    }
    Controller controller = facts.plan().display().controllers().get(index);
    return Optional.of(
        finding(
            "%s: %d %s moved since it was given: %s"
                .formatted(
                    controller.tag(),
                    moved.size(),
                    moved.size() == 1 ? "start" : "starts",
                    named(moved.stream().map(MovedAddress::told).toList())),
            Measure.count(moved.size(), "starts moved"),
            Measure.count(0, "starts moved"),
            subjects(facts.plan(), Optional.of(controller), moved)));
  }
}
