package hamper.server.output;

import hamper.address.Protocol;
import hamper.address.Transport;
import hamper.config.SendLine;
import hamper.send.FrameLayout;
import hamper.wire.ArtNet;
import hamper.wire.Ddp;
import hamper.wire.E131;
import java.net.Inet4Address;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.UnknownHostException;
import java.util.List;
import java.util.Map;

/**
 * Where packets go; a sender sends to nothing but hops, and only {@link #hop} makes one. Made once
 * from a plan.
 */
public abstract sealed class Routes permits StandInRoutes, LiveRoutes {
  /** A way out: from an address of this computer to a receiver. */
  public static final class Hop {
    private final InetAddress from;
    private final InetSocketAddress to;

    private Hop(InetAddress from, InetSocketAddress to) {
      this.from = from;
      this.to = to;
    }

    InetAddress from() {
      return from;
    }

    public InetSocketAddress to() {
      return to;
    }

    @Override
    public boolean equals(Object other) {
      return other instanceof Hop hop && hop.from.equals(from) && hop.to.equals(to);
    }

    @Override
    public int hashCode() {
      return to.hashCode();
    }

    @Override
    public String toString() {
      return from.getHostAddress() + " -> " + to;
    }
  }

  private final Map<String, FrameLayout> layouts;

  Routes(Map<String, FrameLayout> layouts) {
    this.layouts = Map.copyOf(layouts);
  }

  /** Whether anything may be sent to an address at all. */
  abstract boolean permits(InetAddress to);

  /**
   * The one place that decides it.
   *
   * @param port UDP
   * @throws IllegalArgumentException where nothing may be sent there
   */
  final Hop hop(InetAddress from, InetAddress to, int port) {
    if (!permits(to)) {
      throw new IllegalArgumentException(
          "address is \"%s\"; packets go to %s only".formatted(to.getHostAddress(), permitted()));
    }
    return new Hop(from, new InetSocketAddress(to, port));
  }

  /** What {@link #permits} lets through, in words. */
  abstract String permitted();

  /**
   * Who gets a packet.
   *
   * @param universe that it carries
   */
  public abstract List<Hop> of(SendLine line, int universe);

  /**
   * Who gets what synchronizes a controller's data.
   *
   * @param address of the synchronization on E1.31
   */
  public abstract List<Hop> synchronization(String controller, Protocol protocol, int address);

  /** Who hears which universes of E1.31 are sent. */
  public abstract List<Hop> announcement();

  /** The layout of a controller. */
  final FrameLayout layoutOf(String controller) {
    return layouts.get(controller);
  }

  /** Whether a controller has joined the group of a universe. */
  final boolean joined(String controller, int universe) {
    return layouts.get(controller).universes().stream()
        .anyMatch(one -> one.number() == universe && one.line().transport() == Transport.MULTICAST);
  }

  /**
   * An address in four numbers; names are not looked up.
   *
   * @throws IllegalArgumentException where it is none
   */
  static InetAddress numbers(String address) {
    if (address.matches("\\d{1,3}(\\.\\d{1,3}){3}")) {
      try {
        return Inet4Address.getByName(address);
      } catch (UnknownHostException e) {
        // told below
      }
    }
    throw new IllegalArgumentException(
        "address is \"%s\"; it has four numbers, such as 198.51.100.11".formatted(address));
  }

  /** The standard UDP port of a protocol. */
  static int portOf(Protocol protocol) {
    return switch (protocol) {
      case E131 -> E131.PORT;
      case ARTNET -> ArtNet.PORT;
      case DDP -> Ddp.PORT;
      case NONE -> throw new IllegalArgumentException("Nothing is sent without a protocol");
    };
  }
}
