package hamper.server.output;

import hamper.address.IpAddress;
import hamper.address.MulticastGroup;
import hamper.address.Protocol;
import hamper.address.Transport;
import hamper.config.SendLine;
import hamper.display.Controller;
import hamper.display.Display;
import hamper.send.FrameLayout;
import hamper.standin.Place;
import hamper.wire.E131;
import java.net.InetAddress;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * To the plan's own addresses, their groups and the broadcast of their subnets, out of the adapter
 * whose subnet a controller is in. What no adapter reaches is left out, and told; so is what has a
 * name for an address, since a name may lead anywhere.
 */
public final class LiveRoutes extends Routes {
  private static final String NO_ADDRESS = "it has no address";

  /** The adapter that reaches each controller; none where it is left out. */
  private final Map<String, MachineAdapter> adapters = new LinkedHashMap<>();

  private final Map<String, InetAddress> addresses = new LinkedHashMap<>();
  private final Map<String, String> leftOut = new LinkedHashMap<>();
  private final Set<InetAddress> planned = new HashSet<>();

  /**
   * @param here adapters of this computer
   * @param chosen the name of the only one that is used; empty: whichever fits
   */
  public LiveRoutes(
      Display display,
      Map<String, FrameLayout> layouts,
      List<MachineAdapter> here,
      Optional<String> chosen) {
    super(layouts);
    List<MachineAdapter> usable =
        here.stream()
            .filter(adapter -> adapter.up() && !adapter.loopback())
            .filter(adapter -> chosen.isEmpty() || chosen.get().equals(adapter.name()))
            .sorted(Comparator.comparingInt(MachineAdapter::prefix).reversed())
            .toList();
    for (Controller controller : display.controllers()) {
      FrameLayout layout = layouts.get(controller.id());
      if (layout != null) {
        reach(controller, layout, usable, display);
      }
    }
    adapters.forEach((controller, adapter) -> allow(layoutOf(controller), adapter));
    planned.addAll(addresses.values());
  }

  private void reach(
      Controller controller, FrameLayout layout, List<MachineAdapter> usable, Display display) {
    boolean named =
        layout.lines().stream().anyMatch(line -> line.destinationKind() == SendLine.Kind.NAME);
    Optional<IpAddress> address = controller.address();
    List<MachineAdapter> fitting =
        usable.stream()
            .filter(
                adapter ->
                    address.isPresent()
                        ? adapter.reaches(address.get())
                        : display.subnets().stream()
                            .anyMatch(subnet -> subnet.contains(adapter.address())))
            .toList();
    if (address.isEmpty() && named) {
      leftOut.put(controller.id(), "it has a name instead of an address, which may lead anywhere");
    } else if (address.isEmpty() && !isGroup(layout)) {
      leftOut.put(controller.id(), NO_ADDRESS);
    } else if (fitting.isEmpty()) {
      leftOut.put(
          controller.id(),
          "no adapter of this computer is in the subnet of %s"
              .formatted(address.map(IpAddress::text).orElse("the show network")));
    } else {
      adapters.put(controller.id(), fitting.get(0));
      address.ifPresent(one -> addresses.put(controller.id(), numbers(one.text())));
    }
  }

  private static boolean isGroup(FrameLayout layout) {
    return layout.lines().stream().allMatch(line -> line.transport() != Transport.UNICAST);
  }

  /** All that this plan ever sends to. */
  private void allow(FrameLayout layout, MachineAdapter adapter) {
    planned.add(group(E131.DISCOVERY_UNIVERSE));
    for (SendLine line : layout.lines()) {
      switch (line.transport()) {
        case UNICAST -> planned.add(addresses.get(line.controllerId()));
        case BROADCAST -> planned.add(numbers(adapter.broadcast().text()));
        case MULTICAST -> {
          for (int i = 0; i < line.universes(); i++) {
            planned.add(group(line.firstUniverse().orElseThrow() + i));
          }
        }
      }
      line.synchronization()
          .ifPresent(
              address ->
                  planned.add(
                      line.protocol() == Protocol.E131
                          ? group(address)
                          : numbers(adapter.broadcast().text())));
    }
  }

  @Override
  boolean permits(InetAddress to) {
    return planned.contains(to);
  }

  @Override
  String permitted() {
    return "addresses of the plan";
  }

  /** Why controllers are sent nothing, by id. */
  public Map<String, String> leftOut() {
    return leftOut;
  }

  /** Where a controller is, and how it is reached; empty where it is left out. */
  public Optional<InetAddress> addressOf(String controller) {
    return Optional.ofNullable(addresses.get(controller));
  }

  /** The HTTP door of a controller, by the same rule that packets go by; empty without address. */
  Optional<Place> doorOf(String controller) {
    return addressOf(controller)
        .map(to -> hop(from(controller), to, Place.DOOR).to().getAddress().getHostAddress())
        .map(Place::own);
  }

  @Override
  public List<Hop> of(SendLine line, int universe) {
    return switch (line.transport()) {
      case UNICAST -> {
        InetAddress to = addresses.get(line.controllerId());
        yield to == null
            ? List.of()
            : List.of(hop(from(line.controllerId()), to, portOf(line.protocol())));
      }
      case MULTICAST -> {
        Set<Hop> hops = new LinkedHashSet<>();
        for (String controller : adapters.keySet()) {
          if (joined(controller, universe)) {
            hops.add(hop(from(controller), group(universe), portOf(line.protocol())));
          }
        }
        yield new ArrayList<>(hops);
      }
      case BROADCAST -> broadcast(line.controllerId(), line.protocol());
    };
  }

  @Override
  public List<Hop> synchronization(String controller, Protocol protocol, int address) {
    if (!adapters.containsKey(controller)) {
      return List.of();
    }
    return protocol == Protocol.ARTNET
        ? broadcast(controller, protocol)
        : List.of(hop(from(controller), group(address), portOf(protocol)));
  }

  private List<Hop> broadcast(String controller, Protocol protocol) {
    MachineAdapter adapter = adapters.get(controller);
    return adapter == null
        ? List.of()
        : List.of(hop(from(controller), numbers(adapter.broadcast().text()), portOf(protocol)));
  }

  @Override
  public List<Hop> announcement() {
    return adapters.keySet().stream()
        .map(controller -> hop(from(controller), group(E131.DISCOVERY_UNIVERSE), E131.PORT))
        .distinct()
        .toList();
  }

  private InetAddress from(String controller) {
    return numbers(adapters.get(controller).address().text());
  }

  private static InetAddress group(int universe) {
    return numbers(MulticastGroup.of(universe));
  }
}
