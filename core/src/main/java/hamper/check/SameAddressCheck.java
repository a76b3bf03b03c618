package hamper.check;

import hamper.address.IpAddress;
import hamper.facts.Facts;
import hamper.network.AddressLine;
import hamper.network.Occupant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Consumer;
import java.util.stream.Collectors;

/** Two devices with one address. */
final class SameAddressCheck extends Check {
  SameAddressCheck() {
    super(
        "same-address",
        Area.NETWORK,
        Severity.FAULT,
        "Two devices have one address",
        "Addresses of controllers, hosts and their adapters with each other",
        "Sometimes the one answers and sometimes the other; both stutter.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    Map<IpAddress, List<Occupant>> devices = new TreeMap<>();
    AddressLine.occupants(facts.plan().display())
        .forEach(one -> devices.computeIfAbsent(one.address(), a -> new ArrayList<>()).add(one));
    devices.forEach(
        (address, here) -> {
          if (here.stream().map(Occupant::controller).distinct().count() > 1) {
            out.accept(told(address, here));
          }
        });
  }

  private Finding told(IpAddress address, List<Occupant> here) {
    return finding(
        "%s have the address %s"
            .formatted(
                here.stream().map(Occupant::title).collect(Collectors.joining(" and ")), address),
        Measure.count(here.size(), "devices"),
        Measure.count(1, "device"),
        here.stream().map(one -> Subject.controller(one.controller())).toList());
  }
}
