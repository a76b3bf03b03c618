package hamper.check;

import hamper.display.Controller;
import hamper.display.Subnet;
import hamper.facts.Facts;
import java.util.List;
import java.util.function.Consumer;

/** A fixed address that DHCP may give to somebody else. */
final class AddressInDhcpCheck extends Check {
  AddressInDhcpCheck() {
    super(
        "address-in-dhcp",
        Area.NETWORK,
        Severity.RISK,
        "Fixed address in the DHCP range",
        "Addresses with the DHCP range of their subnet",
        "One day another device gets the same address, and both stutter.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    for (Controller controller : facts.plan().display().controllers()) {
      for (Subnet subnet : facts.plan().display().subnets()) {
        controller
            .address()
            .filter(subnet::givesOut)
            .ifPresent(
                address ->
                    out.accept(
                        finding(
                            "%s %s has the address %s, which DHCP of %s gives out"
                                .formatted(
                                    controller.tag(), controller.name(), address, subnet.name()),
                            Measure.named(address.text()),
                            Measure.words(
                                "outside %s to %s"
                                    .formatted(
                                        subnet.dhcpFirst().orElseThrow(),
                                        subnet.dhcpLast().orElseThrow())),
                            List.of(Subject.controller(controller.id())))));
      }
    }
  }
}
