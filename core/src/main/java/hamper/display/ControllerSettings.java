package hamper.display;

import hamper.address.IpAddress;
import hamper.address.Packing;
import hamper.address.PortStart;
import hamper.address.Protocol;
import hamper.address.Transport;
import hamper.catalog.Dialect;
import hamper.value.Require;
import java.util.Optional;

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
    return with(
        mode,
        protocol,
        firstUniverse,
        packing,
        portStart,
        reserveUniverses,
        reserveChannels,
        newZone);
  }

  public ControllerSettings withMode(Optional<String> newMode) {
    return with(
        newMode,
        protocol,
        firstUniverse,
        packing,
        portStart,
        reserveUniverses,
        reserveChannels,
        zone);
  }

  /** Another protocol; what only the old one had stays, and is found where it does not fit. */
  public ControllerSettings withProtocol(Protocol newProtocol) {
    return with(
        mode,
        newProtocol,
        firstUniverse,
        packing,
        portStart,
        reserveUniverses,
        reserveChannels,
        zone);
  }

  /** Packing and port start as they are in force, so that another model does not change them. */
  public ControllerSettings withLayout(Dialect inForce) {
    return with(
        mode,
        protocol,
        firstUniverse,
        Optional.of(packing.orElse(inForce.packing())),
        Optional.of(portStart.orElse(inForce.portStart())),
        reserveUniverses,
        reserveChannels,
        zone);
  }

  /** A block that stays where it is and as large as it is. */
  public ControllerSettings withBlock(
      Optional<Integer> newFirstUniverse, int newReserveUniverses, int newReserveChannels) {
    return with(
        mode,
        protocol,
        newFirstUniverse,
        packing,
        portStart,
        newReserveUniverses,
        newReserveChannels,
        zone);
  }

  private ControllerSettings with(
      Optional<String> newMode,
      Protocol newProtocol,
      Optional<Integer> newFirstUniverse,
      Optional<Packing> newPacking,
      Optional<PortStart> newPortStart,
      int newReserveUniverses,
      int newReserveChannels,
      Optional<String> newZone) {
    return new ControllerSettings(
        newMode,
        newProtocol,
        transport,
        address,
        newFirstUniverse,
        universeSize,
        newPacking,
        newPortStart,
        newReserveUniverses,
        newReserveChannels,
        brightness,
        source,
        newZone,
        note);
  }
}
