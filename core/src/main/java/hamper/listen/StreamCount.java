package hamper.listen;

import hamper.address.IpAddress;
import hamper.address.Protocol;
import java.util.Optional;

/** Counts the packets of one stream. */
final class StreamCount {
  private static final double MICROS = 1e6;

  private final Protocol protocol;
  private final long from;
  private final long to;
  private final int universe;
  private final int least;
  private final int greatest;
  private String name = "";
  private long packets;
  private long first;
  private long last;
  private int leastSlots = Integer.MAX_VALUE;
  private int mostSlots;
  private int priority = -1;
  private long missing;
  private long outOfOrder;
  private long otherStartCodes;
  private boolean ended;
  private int number = -1;

  /** End of what was written since the last push on DDP (bytes). */
  private int written;

  /**
   * @param least the number after the greatest of its sequence, such as 0 of 0..255
   * @param greatest of its sequence
   */
  StreamCount(Protocol protocol, long from, long to, int universe, int least, int greatest) {
    this.protocol = protocol;
    this.from = from;
    this.to = to;
    this.universe = universe;
    this.least = least;
    this.greatest = greatest;
  }

  void named(String by) {
    name = by;
  }

  void priority(int of) {
    priority = of;
  }

  void ended() {
    ended = true;
  }

  void otherStartCode() {
    otherStartCodes++;
  }

  void levels(long micros, int slots) {
    first = packets == 0 ? micros : first;
    last = micros;
    packets++;
    leastSlots = Math.min(leastSlots, slots);
    mostSlots = Math.max(mostSlots, slots);
    ended = false;
  }

  /** A part of a frame, as DDP sends it. */
  void part(long micros, long end, boolean push) {
    written = (int) Math.max(written, Math.min(end, Integer.MAX_VALUE));
    if (push) {
      levels(micros, written);
      written = 0;
    }
  }

  /** Takes the number of a packet; one far ahead was left out, one just before came late. */
  void follows(int sequence) {
    int range = greatest - least + 1;
    if (number >= 0) {
      int ahead = Math.floorMod(sequence - number, range);
      if (ahead == 0 || ahead > range / 2) {
        outOfOrder += ahead == 0 ? 0 : 1;
        return;
      }
      missing += ahead - 1;
    }
    number = sequence;
  }

  HeardStream told() {
    double seconds = (last - first) / MICROS;
    return new HeardStream(
        protocol,
        IpAddress.ofBits(from),
        name,
        IpAddress.ofBits(to),
        universe,
        packets,
        seconds > 0 ? (packets - 1) / seconds : 0,
        packets == 0 ? 0 : leastSlots,
        mostSlots,
        priority < 0 ? Optional.empty() : Optional.of(priority),
        missing,
        outOfOrder,
        otherStartCodes,
        ended,
        false);
  }
}
