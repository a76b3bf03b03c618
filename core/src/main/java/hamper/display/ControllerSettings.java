package hamper.display;

import hamper.address.IpAddress;
import hamper.address.Packing;
import hamper.address.PortStart;
import hamper.address.Protocol;
import hamper.address.Transport;
import hamper.catalog.Dialect;
import hamper.value.Require;
import java.util.Optional;
import java.util.function.Consumer;

/**
 * What is set for a controller as a whole.
 *
 * @param mode the name of a mode of its model; left out: the model's first
 * @param firstUniverse as on the wire, where it is fixed by hand; left out: assigned
 * @param universeSize channels of a universe, 6..512
 * @param packing where it is not the model's
 * @param portStart where it is not the model's
 * @param reserveUniverses least number of universes to keep, room to grow included
 * @param reserveChannels the same on DDP, in channels
 * @param brightness percent; left out: 30
 * @param source the id of the host that feeds it
 * @param zone the id of the zone where it hangs
 * @param note for people, such as where its box stands; may be empty
 */
public record ControllerSettings(
    Optional<String> mode,
    Protocol protocol,
    Transport transport,
    Optional<IpAddress> address,
    Optional<Integer> firstUniverse,
    int universeSize,
    Optional<Packing> packing,
    Optional<PortStart> portStart,
    int reserveUniverses,
    int reserveChannels,
    Optional<Integer> brightness,
    Optional<String> source,
    Optional<String> zone,
    String note) {
  /** Longest note, in characters. */
  public static final int LONGEST_NOTE = 400;

  public ControllerSettings {
    Require.text("note", note, LONGEST_NOTE);
    Require.inRange("firstUniverse", firstUniverse, 0, 63_999);
    Require.inRange("universeSize", universeSize, 6, 512);
    Require.inRange("reserveUniverses", reserveUniverses, 0, 64_000);
    Require.inRange("reserveChannels", reserveChannels, 0, Hold.MOST_CHANNELS);
    Require.inRange("brightness", brightness, 0, 100);
  }

  /** Without a note. */
  public ControllerSettings(
      Optional<String> mode,
      Protocol protocol,
      Transport transport,
      Optional<IpAddress> address,
      Optional<Integer> firstUniverse,
      int universeSize,
      Optional<Packing> packing,
      Optional<PortStart> portStart,
      int reserveUniverses,
      int reserveChannels,
      Optional<Integer> brightness,
      Optional<String> source,
      Optional<String> zone) {
    this(
        mode,
        protocol,
        transport,
        address,
        firstUniverse,
        universeSize,
        packing,
        portStart,
        reserveUniverses,
        reserveChannels,
        brightness,
        source,
        zone,
        "");
  }

  /** E1.31 or another protocol by unicast, everything else assigned or by default. */
  public static ControllerSettings of(Protocol protocol) {
    return new ControllerSettings(
        Optional.empty(),
        protocol,
        Transport.UNICAST,
        Optional.empty(),
        Optional.empty(),
        512,
        Optional.empty(),
        Optional.empty(),
        0,
        0,
        Optional.empty(),
        Optional.empty(),
        Optional.empty());
  }

  public ControllerSettings withZone(Optional<String> newZone) {
    return copy(c -> c.zone = newZone);
  }

  public ControllerSettings withMode(Optional<String> newMode) {
    return copy(c -> c.mode = newMode);
  }

  public ControllerSettings withAddress(Optional<IpAddress> newAddress) {
    return copy(c -> c.address = newAddress);
  }

  public ControllerSettings withBrightness(Optional<Integer> newBrightness) {
    return copy(c -> c.brightness = newBrightness);
  }

  public ControllerSettings withSource(Optional<String> newSource) {
    return copy(c -> c.source = newSource);
  }

  public ControllerSettings withTransport(Transport newTransport) {
    return copy(c -> c.transport = newTransport);
  }

  public ControllerSettings withUniverseSize(int newSize) {
    return copy(c -> c.universeSize = newSize);
  }

  /** Another protocol; what only the old one had stays, and is found where it does not fit. */
  public ControllerSettings withProtocol(Protocol newProtocol) {
    return copy(c -> c.protocol = newProtocol);
  }

  /** Packing and port start as they are in force, so that another model does not change them. */
  public ControllerSettings withLayout(Dialect inForce) {
    return copy(
        c -> {
          c.packing = Optional.of(packing.orElse(inForce.packing()));
          c.portStart = Optional.of(portStart.orElse(inForce.portStart()));
        });
  }

  /** A block that stays where it is and as large as it is. */
  public ControllerSettings withBlock(
      Optional<Integer> newFirstUniverse, int newReserveUniverses, int newReserveChannels) {
    return copy(
        c -> {
          c.firstUniverse = newFirstUniverse;
          c.reserveUniverses = newReserveUniverses;
          c.reserveChannels = newReserveChannels;
        });
  }

  private ControllerSettings copy(Consumer<Copy> change) {
    Copy copy = new Copy(this);
    change.accept(copy);
    return copy.settings();
  }

  /** What may be changed, on its way from one value to the next; nobody else sees it. */
  private static final class Copy {
    private final ControllerSettings from;
    private Optional<String> mode;
    private Protocol protocol;
    private Transport transport;
    private Optional<IpAddress> address;
    private Optional<Integer> firstUniverse;
    private int universeSize;
    private Optional<Packing> packing;
    private Optional<PortStart> portStart;
    private int reserveUniverses;
    private int reserveChannels;
    private Optional<Integer> brightness;
    private Optional<String> source;
    private Optional<String> zone;

    private Copy(ControllerSettings from) {
      this.from = from;
      mode = from.mode;
      protocol = from.protocol;
      transport = from.transport;
      address = from.address;
      firstUniverse = from.firstUniverse;
      universeSize = from.universeSize;
      packing = from.packing;
      portStart = from.portStart;
      reserveUniverses = from.reserveUniverses;
      reserveChannels = from.reserveChannels;
      brightness = from.brightness;
      source = from.source;
      zone = from.zone;
    }

    private ControllerSettings settings() {
      return new ControllerSettings(
          mode,
          protocol,
          transport,
          address,
          firstUniverse,
          universeSize,
          packing,
          portStart,
          reserveUniverses,
          reserveChannels,
          brightness,
          source,
          zone,
          from.note);
    }
  }
}
