package hamper.wire;

/**
 * DDP packets: data with push and splitting, queries, replies. Source: the DDP header table;
 * offsets and timecodes reach 2^32 − 1.
 */
public final class Ddp {
  public static final int PORT = 4048;

  /** Most data bytes of one packet. */
  public static final int MOST_DATA = 1440;

  /** The default output device, all devices, and what describes a device. */
  public static final int OUTPUT = 1;

  public static final int ALL = 255;
  public static final int CONFIGURATION = 250;
  public static final int STATUS = 251;

  public static final int PUSH = 0x01;
  public static final int QUERY = 0x02;
  public static final int REPLY = 0x04;
  public static final int STORAGE = 0x08;

  /** Bytes of eight bits: red, green, blue; the same and white; one channel. */
  public static final int RGB = 0x0B;

  public static final int RGBW = 0x1B;
  public static final int GREY = 0x23;

  private static final int TIMED = 0x10;
  private static final int VERSION = 0x40;
  private static final int HEADER = 10;
  private static final int TIMED_HEADER = 14;

  private Ddp() {}

  /** Bytes of a packet without a timecode that carries so many. */
  public static int size(int data) {
    return HEADER + data;
  }

  /** How many packets carry so many bytes; nothing is one packet that only pushes. */
  public static int packets(int data) {
    return Math.max(1, (data + MOST_DATA - 1) / MOST_DATA);
  }

  /**
   * Writes a header; data follows behind it.
   *
   * @param flags of PUSH, QUERY, REPLY and STORAGE
   * @param sequence 1..15; 0 is not used
   * @param offset of the first byte in the device's buffer, 0..2^32 − 1
   * @param data bytes that follow, or that are asked for
   * @param timecode −1: none
   * @return the size of the header (bytes)
   */
  public static int writeHeader(
      byte[] to,
      int flags,
      int sequence,
      int type,
      int destination,
      long offset,
      int data,
      long timecode) {
    to[0] = (byte) (VERSION | flags | (timecode >= 0 ? TIMED : 0));
    setSequence(to, sequence);
    to[2] = (byte) type;
    to[3] = (byte) destination;
    Bytes.put32(to, 4, offset);
    Bytes.put16(to, 8, data);
    if (timecode >= 0) {
      Bytes.put32(to, HEADER, timecode);
      return TIMED_HEADER;
    }
    return HEADER;
  }

  public static void setSequence(byte[] packet, int sequence) {
    packet[1] = (byte) sequence;
  }

  /** The number after this one: 15 is followed by 1. */
  public static int nextSequence(int sequence) {
    return sequence % 15 + 1;
  }

  /**
   * @return why it is not taken; null where it is
   */
  public static Refusal refuse(byte[] packet, int length, boolean strict) {
    if (length < HEADER) {
      return Refusal.TOO_SHORT;
    } else if ((packet[0] & 0xC0) != VERSION) {
      return Refusal.VERSION;
    }
    int header = dataAt(packet);
    if (length < header) {
      return Refusal.TOO_SHORT;
    }
    boolean asks = is(packet, QUERY) && !is(packet, REPLY);
    if (!asks && header + length(packet) > length) {
      return Refusal.LENGTH;
    } else if (offset(packet) + length(packet) > 1L << 32) {
      return Refusal.OFFSET;
    }
    if (strict && packet[3] == 0) {
      return Refusal.DESTINATION;
    }
    return strict && length > header + (asks ? 0 : length(packet)) ? Refusal.LONGER : null;
  }

  // what stands in a packet that is not refused

  public static boolean is(byte[] packet, int flag) {
    return (packet[0] & flag) != 0;
  }

  public static int sequence(byte[] packet) {
    return packet[1] & 15;
  }

  public static int type(byte[] packet) {
    return Bytes.u8(packet, 2);
  }

  public static int destination(byte[] packet) {
    return Bytes.u8(packet, 3);
  }

  public static long offset(byte[] packet) {
    return Bytes.u32(packet, 4);
  }

  /** Data bytes; of a query what is asked for. */
  public static int length(byte[] packet) {
    return Bytes.u16(packet, 8);
  }

  /** −1 where there is none. */
  public static long timecode(byte[] packet) {
    return is(packet, TIMED) ? Bytes.u32(packet, HEADER) : -1;
  }

  /** Where its data begins. */
  public static int dataAt(byte[] packet) {
    return is(packet, TIMED) ? TIMED_HEADER : HEADER;
  }
}
