package hamper.load;

import hamper.address.Protocol;
import hamper.wire.ArtNet;
import hamper.wire.Ddp;
import hamper.wire.E131;

/**
 * What levels cost on the wire.
 *
 * <p>Source: the load rules, "Network": a packet costs max(46, 28 + UDP payload) + 38 bytes of
 * Ethernet; the codecs of {@link hamper.wire} tell the payload.
 *
 * @param packetsPerSecond (1/s)
 * @param megabitsPerSecond on the wire (Mbit/s)
 */
public record Traffic(double packetsPerSecond, double megabitsPerSecond) {
  public static final Traffic NONE = new Traffic(0, 0);

  /** Most data bytes of one DDP packet. */
  public static final int DDP_BYTES = Ddp.MOST_DATA;

  /** Slots of a universe that is sent in full. */
  public static final int FULL_UNIVERSE = E131.MOST_SLOTS;

  /** What a wired link carries (Mbit/s). */
  public static final double LINK = 100;

  /** Most that is planned on a wired link: half of it (Mbit/s). */
  public static final double MOST_WIRED = LINK / 2;

  /** What the air carries, shared by all of a Wi-Fi cell (Mbit/s); a rule of thumb. */
  public static final double AIR = 20;

  /** Most that is planned on the air: a quarter of it (Mbit/s). */
  public static final double MOST_AIR = AIR / 4;

  /** Most packets on the air, shared by all of a Wi-Fi cell (1/s); a rule of thumb. */
  public static final double MOST_AIR_PACKETS = 300;

  private static final int LEAST_IP_BYTES = 46;
  private static final int IP_AND_UDP_BYTES = 28;
  private static final int ETHERNET_BYTES = 38;

  /**
   * @param channels that are sent one after another, from 0
   * @param universeSize channels of a universe, from 1; without meaning on DDP
   * @param full whether each universe is sent with 512 slots whatever is used
   * @param framesPerSecond (1/s)
   */
  public static Traffic of(
      Protocol protocol, int channels, int universeSize, boolean full, double framesPerSecond) {
    int chunk = protocol.usesUniverses() ? universeSize : DDP_BYTES;
    int whole = channels / chunk;
    int rest = channels % chunk;
    boolean filled = full && protocol.usesUniverses();
    long bytes = (long) whole * wireBytes(protocol, filled ? FULL_UNIVERSE : chunk);
    if (rest > 0) {
      bytes += wireBytes(protocol, filled ? FULL_UNIVERSE : rest);
    }
    int packets = whole + (rest > 0 ? 1 : 0);
    return new Traffic(packets * framesPerSecond, bytes * 8 * framesPerSecond / 1_000_000);
  }

  /** Bytes that a packet takes on the wire, frame check, preamble and gap included. */
  private static int wireBytes(Protocol protocol, int slots) {
    int payload =
        switch (protocol) {
          case E131 -> E131.dataSize(slots);
          case ARTNET -> ArtNet.dmxSize(slots);
          case DDP -> Ddp.size(slots);
          case NONE -> 0;
        };
    return Math.max(LEAST_IP_BYTES, IP_AND_UDP_BYTES + payload) + ETHERNET_BYTES;
  }

  public Traffic plus(Traffic other) {
    return new Traffic(
        packetsPerSecond + other.packetsPerSecond, megabitsPerSecond + other.megabitsPerSecond);
  }
}
