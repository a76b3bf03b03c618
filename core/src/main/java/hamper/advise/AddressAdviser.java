package hamper.advise;

import hamper.address.IpAddress;
import hamper.check.Finding;
import hamper.display.Controller;
import hamper.display.Subnet;
import hamper.edit.Edit;
import hamper.edit.EditsBetween;
import hamper.facts.Facts;
import hamper.network.AddressLine;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Gives a device the next free address: in its source's subnet, in its own, in any. */
final class AddressAdviser implements Adviser {
  @Override
  public Stream<Edit> think(Facts facts, Finding finding) {
    List<Controller> devices =
        finding.controllers().distinct().map(facts.plan()::existingController).toList();
    List<Edit> edits = new ArrayList<>();
    // where two have one address, the later one moves
    for (int i = devices.size() - 1; i >= 0; i--) {
      Controller device = devices.get(i);
      for (AddressLine line : lines(facts, device)) {
        line.free().stream()
            .findFirst()
            .ifPresent(address -> edits.add(EditsBetween.fields(device, at(device, address))));
      }
    }
    return edits.stream();
  }

  /** Subnets that its source has an address in come first. */
  private static List<AddressLine> lines(Facts facts, Controller device) {
    Optional<Controller> source = device.settings().source().flatMap(facts.plan()::controller);
    List<IpAddress> reach = source.map(Controller::addresses).orElse(List.of());
    List<AddressLine> lines = new ArrayList<>(AddressLine.of(facts.plan().display()));
    lines.sort(
        (a, b) ->
            Boolean.compare(holds(b.subnet(), reach, device), holds(a.subnet(), reach, device)));
    return lines;
  }

  private static boolean holds(Subnet subnet, List<IpAddress> reach, Controller device) {
    return reach.isEmpty()
        ? device.address().filter(subnet::contains).isPresent()
        : reach.stream().anyMatch(subnet::contains);
  }

  private static Controller at(Controller device, IpAddress address) {
    return device.withSettings(device.settings().withAddress(Optional.of(address)));
  }
}
