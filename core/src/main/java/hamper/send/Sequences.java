package hamper.send;

import hamper.address.Protocol;
import hamper.wire.ArtNet;
import hamper.wire.E131;

/**
 * The sequence numbers of a source, one counter a universe whoever it goes to. Source: E1.31,
 * "Sequence"; Art-Net, ArtDmx.
 */
public final class Sequences {
  private final byte[] e131 = new byte[E131.LAST_UNIVERSE + 1];
  private final byte[] artnet = new byte[1 << 15];

  int next(Protocol protocol, int universe) {
    if (protocol == Protocol.ARTNET) {
      artnet[universe] = (byte) ArtNet.nextSequence(artnet[universe] & 255);
      return artnet[universe] & 255;
    }
    return ++e131[universe] & 255;
  }
}
