package hamper.server.output;

import hamper.address.Protocol;
import hamper.address.Transport;
import hamper.config.SendLine;
import hamper.send.FrameLayout;
import hamper.wire.ArtNet;
import hamper.wire.Ddp;
import hamper.wire.E131;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.UnknownHostException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Where packets go: to stand-ins. Made once from a plan: what is for one address goes to the
 * stand-in of that controller, a group to each that listens to its universe, a broadcast to all.
 * Whatever address a plan gives a controller, nothing leaves for one outside 127.0.0.0/8.
 */
public final class Routes {
  private final Map<String, InetAddress> standIns = new LinkedHashMap<>();
  private final Map<String, FrameLayout> layouts;

  /**
   * @param addresses of the stand-ins, by the id of the controller that each stands in for
   * @param layouts what each controller is sent, by its id
   */
  public Routes(Map<String, String> addresses, Map<String, FrameLayout> layouts) {
    addresses.forEach((controller, address) -> standIns.put(controller, loopback(address)));
    this.layouts = Map.copyOf(layouts);
  }

  /**
   * The one place that decides it.
   *
   * @param address four numbers; names are not looked up
   * @throws IllegalArgumentException where it is not in 127.0.0.0/8
   */
  static InetAddress loopback(String address) {
    boolean numbers = address.matches("127(\\.\\d{1,3}){3}");
    try {
      InetAddress found = numbers ? InetAddress.getByName(address) : null;
      if (found != null && found.isLoopbackAddress()) {
        return found;
      }
    } catch (UnknownHostException e) {
      // told below
    }
    throw new IllegalArgumentException(
        "address is \"%s\"; packets go to 127.0.0.0/8 only".formatted(address));
  }

  /**
   * Who gets a packet.
   *
   * @param universe that it carries
   */
  public List<InetSocketAddress> of(SendLine line, int universe) {
    int port = port(line.protocol());
    List<InetSocketAddress> to = new ArrayList<>();
    standIns.forEach(
        (controller, address) -> {
          if (hears(controller, line, universe)) {
            to.add(new InetSocketAddress(address, port));
          }
        });
    return to;
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
        && layouts.get(controller).lines().stream()
            .anyMatch(
                own ->
                    own.destinationKind() == SendLine.Kind.ADDRESS
                        && own.destination().equals(line.destination()));
  }

  /** Whether a controller has joined the group of a universe. */
  private boolean joined(String controller, int universe) {
    return layouts.get(controller).universes().stream()
        .anyMatch(one -> one.number() == universe && one.line().transport() == Transport.MULTICAST);
  }

  /** Everybody, at the port of a protocol: for what is broadcast. */
  public List<InetSocketAddress> everybody(Protocol protocol) {
    return standIns.values().stream()
        .map(address -> new InetSocketAddress(address, port(protocol)))
        .toList();
  }

  /** A stand-in at the port of a protocol. */
  public InetSocketAddress of(String controller, Protocol protocol) {
    return new InetSocketAddress(standIns.get(controller), port(protocol));
  }

  private static int port(Protocol protocol) {
    return switch (protocol) {
      case E131 -> E131.PORT;
      case ARTNET -> ArtNet.PORT;
      case DDP -> Ddp.PORT;
      case NONE -> throw new IllegalArgumentException("Nothing is sent without a protocol");
    };
  }
}
