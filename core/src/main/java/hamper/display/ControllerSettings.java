package hamper.display;

import hamper.address.IpAddress;
import hamper.address.Packing;
import hamper.address.PortStart;
import hamper.address.Protocol;
import hamper.address.Transport;
import hamper.catalog.Dialect;
import hamper.value.RecordShape;
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
 * @param enclosure the id of the enclosure that it is in
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
    Optional<String> enclosure,
    String note) {
  /** Longest note, in characters. */
  public static final int LONGEST_NOTE = 400;

  public ControllerSettings {
    Require.text("note", note, LONGEST_NOTE);
    Require.inRange("firstUniverse", firstUniverse, 0, Protocol.HIGHEST_UNIVERSE);
    Require.inRange("universeSize", universeSize, 6, 512);
    Require.inRange("reserveUniverses", reserveUniverses, 0, 64_000);
    Require.inRange("reserveChannels", reserveChannels, 0, Hold.MOST_CHANNELS);
    Require.inRange("brightness", brightness, 0, 100);
  }

  /** In no enclosure, without a note. */
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
        Optional.empty(),
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
    return RecordShape.with(this, "zone", newZone);
  }

  public ControllerSettings withEnclosure(Optional<String> newEnclosure) {
    return RecordShape.with(this, "enclosure", newEnclosure);
  }

  public ControllerSettings withMode(Optional<String> newMode) {
    return RecordShape.with(this, "mode", newMode);
  }

  public ControllerSettings withAddress(Optional<IpAddress> newAddress) {
    return RecordShape.with(this, "address", newAddress);
  }

  public ControllerSettings withBrightness(Optional<Integer> newBrightness) {
    return RecordShape.with(this, "brightness", newBrightness);
  }

  public ControllerSettings withSource(Optional<String> newSource) {
    return RecordShape.with(this, "source", newSource);
  }

  public ControllerSettings withTransport(Transport newTransport) {
    return RecordShape.with(this, "transport", newTransport);
  }

  public ControllerSettings withUniverseSize(int newSize) {
    return RecordShape.with(this, "universeSize", newSize);
  }

  /** Another protocol; what only the old one had stays, and is found where it does not fit. */
  public ControllerSettings withProtocol(Protocol newProtocol) {
    return RecordShape.with(this, "protocol", newProtocol);
  }

  /** Packing and port start as they are in force, so that another model does not change them. */
  public ControllerSettings withLayout(Dialect inForce) {
    ControllerSettings packed =
        RecordShape.with(this, "packing", Optional.of(packing.orElse(inForce.packing())));
    return RecordShape.with(
        packed, "portStart", Optional.of(portStart.orElse(inForce.portStart())));
  }

  public ControllerSettings withFirstUniverse(Optional<Integer> newFirstUniverse) {
    return RecordShape.with(this, "firstUniverse", newFirstUniverse);
  }

  /** A block that stays where it is and as large as it is. */
  public ControllerSettings withBlock(
      Optional<Integer> newFirstUniverse, int newReserveUniverses, int newReserveChannels) {
    ControllerSettings from = withFirstUniverse(newFirstUniverse);
    ControllerSettings reserved = RecordShape.with(from, "reserveUniverses", newReserveUniverses);
    return RecordShape.with(reserved, "reserveChannels", newReserveChannels);
  }
}
