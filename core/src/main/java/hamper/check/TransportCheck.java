package hamper.check;

import hamper.address.Transport;
import hamper.catalog.ProtocolSupport;
import hamper.display.Controller;
import hamper.facts.ControllerFacts;
import hamper.facts.Facts;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Collectors;

/** Packets sent in a way that the model does not hear. */
final class TransportCheck extends Check {
  TransportCheck() {
    super(
        "transport",
        Area.NETWORK,
        Severity.FAULT,
        "The model does not hear these packets",
        "Unicast, multicast or broadcast as set with what the model takes on this protocol",
        "It never counts a packet: it stays dark.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    for (ControllerFacts one : facts.controllers()) {
      Controller controller = one.controller();
      facts
          .plan()
          .modelOf(controller)
          .support(controller.protocol())
          .map(ProtocolSupport::transports)
          .filter(allowed -> one.sentTo() && !allowed.contains(controller.transport()))
          .ifPresent(allowed -> out.accept(told(facts, controller, allowed)));
    }
  }

  private Finding told(Facts facts, Controller controller, Set<Transport> allowed) {
    String takes =
        allowed.stream().sorted().map(Transport::title).collect(Collectors.joining(" or "));
    String set = controller.transport().title();
    return finding(
        "%s is sent %s by %s; %s takes %s"
            .formatted(
                controller.tag(),
                controller.protocol().title(),
                set,
                facts.plan().modelOf(controller).title(),
                takes),
        Measure.named(set),
        Measure.named(takes),
        List.of(Subject.controller(controller.id())));
  }
}
