package hamper.address;

import hamper.value.Require;

/**
 * An Art-Net Port-Address: 15 bits, net (7) over sub-net (4) over universe (4).
 *
 * @param value 0..32767
 */
public record PortAddress(int value) {
  public PortAddress {
    Require.inRange("Port-Address", value, 0, Protocol.ARTNET.lastUniverse());
  }

  public int net() {
    return value >> 8;
  }

  public int subNet() {
    return value >> 4 & 15;
  }

  public int universe() {
    return value & 15;
  }
}
