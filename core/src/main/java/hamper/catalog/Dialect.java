package hamper.catalog;

import hamper.address.Packing;
import hamper.address.PortStart;
import hamper.address.Protocol;
import hamper.address.StartsPer;
import hamper.value.Require;

/**
 * How a device model wants its addresses written, and what follows from it for the plan.
 *
 * @param portsFollow whether each port starts where the one before it ended, and cannot be told
 *     otherwise
 * @param e131From what the device calls E1.31 universe 1: 0 or 1
 * @param artnetFrom what the device calls Port-Address 0: 0 or 1
 * @param packing what the device does with a pixel at a universe's end, unless the plan says
 *     otherwise
 * @param packingTold whether it can be told to do otherwise
 * @param wholePixelsOnly whether a pixel that straddles two universes goes wrong on the device
 */
public record Dialect(
    AddressStyle style,
    InputStyle inputs,
    StartsPer startsPer,
    PortStart portStart,
    Packing packing,
    boolean packingTold,
    boolean wholePixelsOnly,
    boolean portsFollow,
    int e131From,
    int artnetFrom) {
  public Dialect {
    Require.inRange("e131From", e131From, 0, 1);
    Require.inRange("artnetFrom", artnetFrom, 0, 1);
    Require.that(
        !wholePixelsOnly || packing == Packing.WHOLE_PIXEL,
        "packing",
        packing,
        "a device of whole pixels only packs WHOLE_PIXEL");
    Require.that(
        !wholePixelsOnly || !packingTold,
        "packingTold",
        packingTold,
        "a device of whole pixels only cannot be told otherwise");
  }

  /** Ports that start where they are told. */
  public Dialect(
      AddressStyle style,
      InputStyle inputs,
      StartsPer startsPer,
      PortStart portStart,
      Packing packing,
      boolean wholePixelsOnly,
      int e131From,
      int artnetFrom) {
    this(
        style,
        inputs,
        startsPer,
        portStart,
        packing,
        false,
        wholePixelsOnly,
        style == AddressStyle.PIXEL_COUNTS,
        e131From,
        artnetFrom);
  }

  /** The number the device writes for a universe on the wire. */
  public int written(Protocol protocol, int wireUniverse) {
    int from = protocol == Protocol.ARTNET ? artnetFrom : e131From;
    return wireUniverse + from - protocol.natural();
  }
}
