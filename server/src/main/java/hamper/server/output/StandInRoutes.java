package hamper.server.output;

import hamper.address.Protocol;
import hamper.config.SendLine;
import hamper.send.FrameLayout;
import hamper.standin.Place;
import java.net.InetAddress;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * To stand-ins: what is for one address goes to the stand-in of that controller, a group to each
 * that listens to its universe, a broadcast to all. Whatever address a plan gives a controller,
 * nothing leaves for one outside 127.0.0.0/8.
 */
public final class StandInRoutes extends Routes {
  private static final InetAddress HERE = numbers("127.0.0.1");

  private final Map<String, Place> standIns = new LinkedHashMap<>();

  /**
   * @param places of the stand-ins, by the id of the controller that each stands in for
   * @param layouts what each controller is sent, by its id
   * @throws IllegalArgumentException where an address is not in 127.0.0.0/8
   */
  public StandInRoutes(Map<String, Place> places, Map<String, FrameLayout> layouts) {
    super(layouts);
    places.forEach(
        (controller, place) -> {
          to(place, Protocol.E131); // refuses what may not be sent to
          if (layouts.containsKey(controller)) {
            standIns.put(controller, place);
          }
        });
  }

  /** Whether whoever is sent to is in these places. */
  boolean leadTo(Map<String, Place> places) {
    return places.entrySet().containsAll(standIns.entrySet());
  }

  private Hop to(Place place, Protocol protocol) {
    int port =
        switch (protocol) {
          case E131 -> place.e131();
          case ARTNET -> place.artNet();
          case DDP -> place.ddp();
          case NONE -> portOf(protocol);
        };
    return hop(HERE, numbers(place.address()), port);
  }

  @Override
  boolean permits(InetAddress to) {
    return to.isLoopbackAddress() && to.getAddress().length == 4;
  }

  @Override
  String permitted() {
    return "127.0.0.0/8";
  }

  @Override
  public List<Hop> of(SendLine line, int universe) {
    List<Hop> hops = new ArrayList<>();
    standIns.forEach(
        (controller, place) -> {
          if (hears(controller, line, universe)) {
            hops.add(to(place, line.protocol()));
          }
        });
    return hops;
  }

  private boolean hears(String controller, SendLine line, int universe) {
    return switch (line.transport()) {
      case UNICAST -> line.controllerId().equals(controller) || hasAddressOf(controller, line);
      case MULTICAST -> joined(controller, universe);
      case BROADCAST -> true;
    };
  }

  /** Two devices of one address, a fault of the plan, both get what is for it. */
  private boolean hasAddressOf(String controller, SendLine line) {
    return line.destinationKind() == SendLine.Kind.ADDRESS
        && layoutOf(controller).lines().stream()
            .anyMatch(
                own ->
                    own.destinationKind() == SendLine.Kind.ADDRESS
                        && own.destination().equals(line.destination()));
  }

  @Override
  public List<Hop> synchronization(String controller, Protocol protocol, int address) {
    if (protocol == Protocol.ARTNET) {
      return everybody(protocol); // what synchronizes Art-Net is broadcast
    }
    Place place = standIns.get(controller);
    return place == null ? List.of() : List.of(to(place, protocol));
  }

  @Override
  public List<Hop> announcement() {
    return everybody(Protocol.E131);
  }

  private List<Hop> everybody(Protocol protocol) {
    return standIns.values().stream().map(place -> to(place, protocol)).toList();
  }
}
