package hamper.wire;

import java.nio.charset.StandardCharsets;

/** Art-Net 4 packets: ArtDmx, ArtSync, ArtPoll. Source: the Art-Net 4 tables of each packet. */
public final class ArtNet {
  /** The UDP port, of source and destination. */
  public static final int PORT = 6454;

  public static final int DMX = 0x5000;
  public static final int SYNC = 0x5200;
  public static final int POLL = 0x2000;
  public static final int POLL_REPLY = 0x2100;
  public static final int MOST_SLOTS = 512;
  public static final int SYNC_SIZE = 14;

  /** Of an ArtPoll: only nodes with a Port-Address in its range answer. */
  public static final int TARGETED = 0x20;

  static final byte[] IDENTIFIER = "Art-Net\0".getBytes(StandardCharsets.US_ASCII);
  private static final int VERSION = 14;
  private static final int HEADER = 18;

  private ArtNet() {}

  /** Bytes of an ArtDmx of so many slots; an odd number is padded. */
  public static int dmxSize(int slots) {
    return HEADER + even(slots);
  }

  private static int even(int slots) {
    return Math.max(2, slots + slots % 2);
  }

  static void head(byte[] to, int opcode) {
    System.arraycopy(IDENTIFIER, 0, to, 0, IDENTIFIER.length);
    Bytes.put16Low(to, 8, opcode);
  }

  private static void versioned(byte[] to, int opcode) {
    head(to, opcode);
    Bytes.put16(to, 10, VERSION);
  }

  /**
   * Writes all of an ArtDmx but its slots, which follow from {@link #slotsAt}; the padding of an
   * odd number is written.
   *
   * @param sequence 1..255; 0 is not used
   * @return its size (bytes)
   */
  public static int writeDmx(byte[] to, int portAddress, int sequence, int physical, int slots) {
    versioned(to, DMX);
    setSequence(to, sequence);
    to[13] = (byte) physical;
    Bytes.put16Low(to, 14, portAddress);
    Bytes.put16(to, 16, even(slots));
    Bytes.zero(to, HEADER + slots, even(slots) - slots);
    return dmxSize(slots);
  }

  public static void setSequence(byte[] packet, int sequence) {
    packet[12] = (byte) sequence;
  }

  /** The number after this one: 255 is followed by 1. */
  public static int nextSequence(int sequence) {
    return sequence % 255 + 1;
  }

  /**
   * @return its size (bytes)
   */
  public static int writeSync(byte[] to) {
    versioned(to, SYNC);
    Bytes.put16(to, 12, 0);
    return SYNC_SIZE;
  }

  /**
   * What an ArtPoll asks.
   *
   * @param targetTop the highest Port-Address that is to answer; −1: the packet ends before it
   * @param esta −1: the packet ends before it
   */
  public record Poll(
      int flags, int diagnostics, int targetTop, int targetBottom, int esta, int oem) {
    /** Everybody answers. */
    public static Poll everybody() {
      return new Poll(0, 0, -1, -1, -1, -1);
    }

    private int size() {
      if (targetTop < 0) {
        return 14;
      }
      return esta < 0 ? 18 : 22;
    }
  }

  /**
   * @return its size (bytes)
   */
  public static int writePoll(byte[] to, Poll poll) {
    versioned(to, POLL);
    to[12] = (byte) poll.flags();
    to[13] = (byte) poll.diagnostics();
    int size = poll.size();
    if (size > 14) {
      Bytes.put16(to, 14, poll.targetTop());
      Bytes.put16(to, 16, poll.targetBottom());
    }
    if (size > 18) {
      Bytes.put16(to, 18, poll.esta());
      Bytes.put16(to, 20, poll.oem());
    }
    return size;
  }

  /** Whether a packet is Art-Net's at all. */
  public static boolean is(byte[] packet, int length) {
    return length >= 10 && Bytes.same(packet, IDENTIFIER);
  }

  /** Of what is Art-Net's. */
  public static int opcode(byte[] packet) {
    return Bytes.u16Low(packet, 8);
  }

  private static Refusal refuseHead(byte[] packet, int length, int opcode, int least) {
    if (length < 10) {
      return Refusal.TOO_SHORT;
    } else if (!Bytes.same(packet, IDENTIFIER)) {
      return Refusal.IDENTIFIER;
    } else if (opcode(packet) != opcode) {
      return Refusal.OPCODE;
    } else if (length < least) {
      return Refusal.TOO_SHORT;
    }
    return Bytes.u16(packet, 10) < VERSION ? Refusal.VERSION : null;
  }

  /**
   * @return why it is no ArtDmx; null where it is one
   */
  public static Refusal refuseDmx(byte[] packet, int length, boolean strict) {
    Refusal head = refuseHead(packet, length, DMX, HEADER);
    if (head != null) {
      return head;
    }
    int slots = slots(packet);
    if (slots < 2 || slots > MOST_SLOTS) {
      return Refusal.COUNT;
    } else if (HEADER + slots > length) {
      return Refusal.LENGTH;
    }
    if (strict && slots % 2 == 1) {
      return Refusal.ODD;
    }
    return strict && packet[15] < 0 ? Refusal.PORT_ADDRESS : null;
  }

  public static Refusal refuseSync(byte[] packet, int length) {
    return refuseHead(packet, length, SYNC, SYNC_SIZE);
  }

  /**
   * @return why it is no ArtPoll; null where it is one
   */
  public static Refusal refusePoll(byte[] packet, int length, boolean strict) {
    Refusal head = refuseHead(packet, length, POLL, 14);
    if (head != null) {
      return head;
    }
    boolean targeted = (packet[12] & TARGETED) != 0;
    boolean empty = targetTop(packet, length) < targetBottom(packet, length);
    return strict && targeted && empty ? Refusal.RANGE : null;
  }

  // what stands in a packet that is not refused

  public static int sequence(byte[] packet) {
    return Bytes.u8(packet, 12);
  }

  public static int physical(byte[] packet) {
    return Bytes.u8(packet, 13);
  }

  /** The highest bit of 16 is not read. */
  public static int portAddress(byte[] packet) {
    return Bytes.u16Low(packet, 14) & 0x7FFF;
  }

  public static int slots(byte[] packet) {
    return Bytes.u16(packet, 16);
  }

  /** Where slot 1 stands. */
  public static int slotsAt() {
    return HEADER;
  }

  public static int pollFlags(byte[] packet) {
    return Bytes.u8(packet, 12);
  }

  /** Fields that are not there count as 0. */
  public static int targetTop(byte[] packet, int length) {
    return field(packet, length, 14);
  }

  public static int targetBottom(byte[] packet, int length) {
    return field(packet, length, 16);
  }

  public static int esta(byte[] packet, int length) {
    return field(packet, length, 18);
  }

  public static int oem(byte[] packet, int length) {
    return field(packet, length, 20);
  }

  private static int field(byte[] packet, int length, int at) {
    return length >= at + 2 ? Bytes.u16(packet, at) : 0;
  }
}
