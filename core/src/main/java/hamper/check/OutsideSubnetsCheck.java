package hamper.check;

import hamper.address.IpAddress;
import hamper.display.Controller;
import hamper.display.Subnet;
import hamper.facts.Facts;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.Collectors;

/** An address that no device of the show network can have. */
final class OutsideSubnetsCheck extends Check {
  OutsideSubnetsCheck() {
    super(
        "outside-subnets",
        Area.NETWORK,
        Severity.FAULT,
        "Address outside every subnet",
        "Addresses with the subnets of the display, without their network and broadcast addresses; nothing where no subnet is told",
        "Nobody can send to it: it stays dark, though its lamps for power are on.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    List<Subnet> subnets = facts.plan().display().subnets();
    if (subnets.isEmpty()) {
      return;
    }
    for (Controller controller : facts.plan().display().controllers()) {
      controller.address().ifPresent(address -> check(subnets, controller, address, out));
    }
  }

  private void check(
      List<Subnet> subnets, Controller controller, IpAddress address, Consumer<Finding> out) {
    boolean reserved = subnets.stream().anyMatch(subnet -> subnet.reserves(address));
    boolean inside = subnets.stream().anyMatch(subnet -> subnet.contains(address));
    if (reserved || !inside) {
      String why =
          reserved
              ? "which is a subnet's own network or broadcast address"
              : "which lies in no subnet of the display";
      out.accept(
          finding(
              "%s %s has the address %s, %s"
                  .formatted(controller.tag(), controller.name(), address, why),
              Measure.named(address.text()),
              Measure.words(
                  subnets.stream()
                      .map(
                          subnet -> "%s to %s".formatted(subnet.firstDevice(), subnet.lastDevice()))
                      .collect(Collectors.joining(", "))),
              List.of(Subject.controller(controller.id()))));
    }
  }
}
