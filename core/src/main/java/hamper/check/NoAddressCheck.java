package hamper.check;

import hamper.address.Transport;
import hamper.display.Controller;
import hamper.facts.ControllerFacts;
import hamper.facts.Facts;
import java.util.List;
import java.util.function.Consumer;

/** A controller that is sent to by unicast and has no address. */
final class NoAddressCheck extends Check {
  NoAddressCheck() {
    super(
        "no-address",
        Area.COMPLETENESS,
        Severity.RISK,
        "Controller without an address",
        "Controllers that are sent to by unicast with those that have an address",
        "The source does not know where to send: the whole controller stays dark.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    for (ControllerFacts one : facts.controllers()) {
      Controller controller = one.controller();
      if (one.sentTo()
          && controller.transport() == Transport.UNICAST
          && controller.address().isEmpty()) {
        out.accept(
            finding(
                "%s %s gets its levels by unicast and has no address"
                    .formatted(controller.tag(), controller.name()),
                Measure.words("no address"),
                Measure.words("an IPv4 address"),
                List.of(Subject.controller(controller.id()))));
      }
    }
  }
}
