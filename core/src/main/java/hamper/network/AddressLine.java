package hamper.network;

import hamper.address.IpAddress;
import hamper.display.Adapter;
import hamper.display.Controller;
import hamper.display.Display;
import hamper.display.Subnet;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/**
 * The addresses of one subnet in order, with who has them.
 *
 * @param first address that a device may have
 * @param last one, included
 * @param occupants by address
 * @param clashes addresses that more than one device has
 * @param free as {@link Subnet#free}, at most {@link #MOST_FREE}
 */
public record AddressLine(
    Subnet subnet,
    IpAddress first,
    IpAddress last,
    List<Occupant> occupants,
    List<IpAddress> clashes,
    List<IpAddress> free) {
  /** As many as are given to devices that are added at once. */
  public static final int MOST_FREE = 100;

  /** One line for each subnet, in the display's order. */
  public static List<AddressLine> of(Display display) {
    List<Occupant> all = occupants(display);
    return display.subnets().stream().map(subnet -> of(subnet, all)).toList();
  }

  /** Devices whose address lies in no subnet, by address. */
  public static List<Occupant> outside(Display display) {
    return occupants(display).stream()
        .filter(one -> display.subnets().stream().noneMatch(net -> net.contains(one.address())))
        .toList();
  }

  private static AddressLine of(Subnet subnet, List<Occupant> all) {
    List<Occupant> here = all.stream().filter(one -> subnet.contains(one.address())).toList();
    return new AddressLine(
        subnet,
        subnet.firstDevice(),
        subnet.lastDevice(),
        here,
        clashes(here),
        subnet.free(here.stream().map(Occupant::address).toList(), MOST_FREE));
  }

  /** By address; one device that names its address twice, as itself and as an adapter, is one. */
  public static List<Occupant> occupants(Display display) {
    List<Occupant> all = new ArrayList<>();
    for (Controller controller : display.controllers()) {
      String name = controller.tag() + " " + controller.name();
      controller
          .address()
          .ifPresent(
              address ->
                  all.add(
                      new Occupant(
                          controller.id(), Optional.empty(), controller.tag(), name, address)));
      List<Adapter> adapters = controller.adapters();
      for (int i = 0; i < adapters.size(); i++) {
        Adapter adapter = adapters.get(i);
        if (!controller.address().equals(Optional.of(adapter.address()))) {
          all.add(
              new Occupant(
                  controller.id(),
                  Optional.of(i),
                  controller.tag(),
                  "%s, %s".formatted(name, adapter.name()),
                  adapter.address()));
        }
      }
    }
    all.sort((a, b) -> a.address().compareTo(b.address()));
    return all;
  }

  private static List<IpAddress> clashes(List<Occupant> here) {
    TreeMap<IpAddress, Set<String>> devices = new TreeMap<>();
    for (Occupant one : here) {
      devices
          .computeIfAbsent(one.address(), address -> new HashSet<>())
          .add(one.controller() + one.adapter().map(i -> "#" + i).orElse(""));
    }
    return devices.entrySet().stream()
        .filter(entry -> entry.getValue().size() > 1)
        .map(entry -> entry.getKey())
        .toList();
  }
}
