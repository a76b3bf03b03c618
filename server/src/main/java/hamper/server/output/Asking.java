package hamper.server.output;

import hamper.address.IpAddress;
import hamper.standin.Place;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Where somebody may be asked who he is, and nowhere else: the stand-ins of a display, or what lies
 * in the planned subnets that an adapter of this computer is in.
 */
public final class Asking {
  /** Most addresses that are tried one by one. */
  public static final int MOST_TRIED = 1_024;

  /**
   * An address of this computer, and what is asked from there.
   *
   * @param broadcast all that hear it; left out for stand-ins, which are asked one by one
   * @param doors that are tried
   */
  public record From(InetAddress own, Optional<InetAddress> broadcast, List<Place> doors) {
    public From {
      doors = List.copyOf(doors);
    }
  }

  private final List<From> from;
  private final Map<Place, String> seats;
  private final Map<Place, IpAddress> strangers;
  private final boolean live;
  private final Set<InetAddress> permitted = new HashSet<>();

  private Asking(
      List<From> from, Map<Place, String> seats, Map<Place, IpAddress> strangers, boolean live) {
    this.from = List.copyOf(from);
    this.seats = Map.copyOf(seats);
    this.strangers = Map.copyOf(strangers);
    this.live = live;
    for (From one : from) {
      one.broadcast().ifPresent(permitted::add);
      one.doors().forEach(place -> permitted.add(Routes.numbers(place.address())));
    }
  }

  static Asking live(List<From> from) {
    return new Asking(from, Map.of(), Map.of(), true);
  }

  /**
   * @param seats which controller each stands in for
   * @param strangers addresses of the show network at which those stand that stand in for none
   */
  static Asking standIns(From from, Map<Place, String> seats, Map<Place, IpAddress> strangers) {
    return new Asking(List.of(from), seats, strangers, false);
  }

  public List<From> from() {
    return from;
  }

  public boolean live() {
    return live;
  }

  /**
   * The id of the controller that a place stands in for; empty live, and where nobody planned it.
   */
  public Optional<String> seat(Place place) {
    return Optional.ofNullable(seats.get(place));
  }

  /** Where a place is on the show network, if it stands in for nobody. */
  public IpAddress addressOf(Place place) {
    return strangers.getOrDefault(place, new IpAddress(place.address()));
  }

  /** The stand-in that a datagram came from, by its address and port. */
  public Optional<Place> standInAt(InetSocketAddress sender) {
    if (live) {
      return Optional.empty();
    }
    String address = sender.getAddress().getHostAddress();
    return from.stream()
        .flatMap(one -> one.doors().stream())
        .filter(
            place ->
                place.address().equals(address)
                    && (place.artNet() == sender.getPort() || place.ddp() == sender.getPort()))
        .findFirst();
  }

  /**
   * The one place that decides where a question goes.
   *
   * @throws IllegalArgumentException where nothing may be sent there
   */
  public InetSocketAddress to(InetAddress address, int port) {
    boolean may = permitted.contains(address) && (live || address.isLoopbackAddress());
    if (!may) {
      throw new IllegalArgumentException(
          "address is \"%s\"; nobody is asked there".formatted(address.getHostAddress()));
    }
    return new InetSocketAddress(address, port);
  }

  /** Addresses of this computer from which it is asked. */
  public List<IpAddress> own() {
    return from.stream().map(one -> new IpAddress(one.own().getHostAddress())).toList();
  }
}
