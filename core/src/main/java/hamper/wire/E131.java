package hamper.wire;

import hamper.address.Protocol;
import java.nio.charset.StandardCharsets;

/**
 * E1.31 packets: data, synchronization, universe discovery. Source: ANSI E1.31, its tables of each
 * layer; a layer's length counts from its own first byte to the end of the packet.
 */
public final class E131 {
  /** The UDP port of everything. */
  public static final int PORT = 5568;

  /** The universe to which discovery packets go. */
  public static final int DISCOVERY_UNIVERSE = 64_214;

  public static final int LAST_UNIVERSE = Protocol.HIGHEST_UNIVERSE;
  public static final int MOST_SLOTS = 512;
  public static final int MOST_PRIORITY = 200;

  /** Universes of one page of a discovery packet. */
  public static final int PAGE = 512;

  /** Not for live output. */
  public static final int PREVIEW = 0x80;

  /** The source ends; levels are ignored. */
  public static final int TERMINATED = 0x40;

  /** Act on data at once where synchronization is lost. */
  public static final int FORCE_SYNC = 0x20;

  public static final int SYNC_SIZE = 49;

  /** A source that is not heard for so long is gone (ms). */
  public static final int LOSS_MILLIS = 2500;

  private static final int HEADER = 126;
  private static final int DISCOVERY_HEADER = 120;
  private static final int NAME_AT = 44;
  private static final int NAME_FIELD = 64;
  private static final int CID_AT = 22;
  private static final int CID_SIZE = 16;
  private static final byte[] START = start();

  private E131() {}

  private static byte[] start() {
    byte[] bytes = new byte[16];
    bytes[1] = 0x10;
    byte[] identifier = "ASC-E1.17".getBytes(StandardCharsets.US_ASCII);
    System.arraycopy(identifier, 0, bytes, 4, identifier.length);
    return bytes;
  }

  /** Bytes of a data packet of so many slots. */
  public static int dataSize(int slots) {
    return HEADER + slots;
  }

  /** Bytes of a discovery packet that lists so many universes. */
  public static int discoverySize(int universes) {
    return DISCOVERY_HEADER + 2 * universes;
  }

  /** What stays the same in all data packets of a source for one universe. */
  public record Stream(byte[] cid, String name, int universe, int priority, int syncAddress) {}

  private static void root(byte[] to, int total, int vector, byte[] cid) {
    System.arraycopy(START, 0, to, 0, START.length);
    layer(to, 16, total);
    Bytes.put32(to, 18, vector);
    System.arraycopy(cid, 0, to, CID_AT, CID_SIZE);
  }

  private static void layer(byte[] to, int at, int total) {
    Bytes.put16(to, at, 0x7000 | total - at);
  }

  /**
   * Writes all of a data packet but its slots, which follow from {@link #slotsAt}.
   *
   * @param slots 0..512
   * @return its size (bytes)
   */
  public static int writeData(
      byte[] to, Stream stream, int sequence, int options, int startCode, int slots) {
    int total = dataSize(slots);
    root(to, total, 4, stream.cid());
    layer(to, 38, total);
    Bytes.put32(to, 40, 2);
    Bytes.text(to, NAME_AT, NAME_FIELD, stream.name().getBytes(StandardCharsets.UTF_8));
    to[108] = (byte) stream.priority();
    Bytes.put16(to, 109, stream.syncAddress());
    setSequence(to, sequence);
    setOptions(to, options);
    Bytes.put16(to, 113, stream.universe());
    layer(to, 115, total);
    to[117] = 2;
    to[118] = (byte) 0xA1;
    Bytes.put16(to, 119, 0);
    Bytes.put16(to, 121, 1);
    Bytes.put16(to, 123, 1 + slots);
    to[125] = (byte) startCode;
    return total;
  }

  public static void setSequence(byte[] packet, int sequence) {
    packet[111] = (byte) sequence;
  }

  public static void setOptions(byte[] packet, int options) {
    packet[112] = (byte) options;
  }

  /**
   * @return its size (bytes)
   */
  public static int writeSync(byte[] to, byte[] cid, int sequence, int syncAddress) {
    root(to, SYNC_SIZE, 8, cid);
    layer(to, 38, SYNC_SIZE);
    Bytes.put32(to, 40, 1);
    to[44] = (byte) sequence;
    Bytes.put16(to, 45, syncAddress);
    Bytes.put16(to, 47, 0);
    return SYNC_SIZE;
  }

  /**
   * One page of what a source sends on.
   *
   * @param universes ascending; those of the page, at most 512
   * @return its size (bytes)
   */
  public static int writeDiscovery(
      byte[] to, byte[] cid, String name, int[] universes, int page, int lastPage) {
    int total = discoverySize(universes.length);
    root(to, total, 8, cid);
    layer(to, 38, total);
    Bytes.put32(to, 40, 2);
    Bytes.text(to, NAME_AT, NAME_FIELD, name.getBytes(StandardCharsets.UTF_8));
    Bytes.put32(to, 108, 0);
    layer(to, 112, total);
    Bytes.put32(to, 114, 1);
    to[118] = (byte) page;
    to[119] = (byte) lastPage;
    for (int i = 0; i < universes.length; i++) {
      Bytes.put16(to, DISCOVERY_HEADER + 2 * i, universes[i]);
    }
    return total;
  }

  /** Whether something is an extended packet, that is, none of data. */
  public static boolean isExtended(byte[] packet, int length) {
    return length >= 22 && Bytes.u32(packet, 18) == 8;
  }

  /** Of an extended packet: whether it lists universes. */
  public static boolean isDiscovery(byte[] packet, int length) {
    return isExtended(packet, length) && length >= 44 && Bytes.u32(packet, 40) == 2;
  }

  /**
   * @param strict whether what breaks a rule on senders only is refused too
   * @return why it is no data packet; null where it is one
   */
  public static Refusal refuseData(byte[] packet, int length, boolean strict) {
    Refusal outer = refuseOuter(packet, length, 4, HEADER, 2);
    if (outer != null) {
      return outer;
    }
    int end = 16 + (Bytes.u16(packet, 16) & 0xFFF);
    Refusal layer = refuseLayer(packet, 115, end);
    if (layer != null) {
      return layer;
    }
    if (packet[117] != 2) {
      return Refusal.VECTOR;
    } else if (Bytes.u8(packet, 118) != 0xA1
        || Bytes.u16(packet, 119) != 0
        || Bytes.u16(packet, 121) != 1) {
      return Refusal.PROPERTIES;
    }
    int count = Bytes.u16(packet, 123);
    if (count < 1 || count > MOST_SLOTS + 1 || count != end - 125) {
      return Refusal.COUNT;
    }
    int universe = universe(packet);
    if (universe < 1 || universe > LAST_UNIVERSE || syncAddress(packet) > LAST_UNIVERSE) {
      return Refusal.UNIVERSE;
    }
    if (!strict) {
      return null;
    } else if (priority(packet) > MOST_PRIORITY) {
      return Refusal.PRIORITY;
    } else if (end < length) {
      return Refusal.LONGER;
    }
    return Bytes.isText(packet, NAME_AT, NAME_FIELD) ? null : Refusal.NAME;
  }

  /** The root layer, and the head of the framing layer below it. */
  private static Refusal refuseOuter(
      byte[] packet, int length, int rootVector, int least, int framingVector) {
    if (length < 38) {
      return Refusal.TOO_SHORT;
    } else if (Bytes.u16(packet, 0) != 0x10 || Bytes.u16(packet, 2) != 0) {
      return Refusal.PREAMBLE;
    } else if (!Bytes.same(packet, START)) {
      return Refusal.IDENTIFIER;
    } else if (Bytes.u8(packet, 16) >> 4 != 7) {
      return Refusal.FLAGS;
    } else if (Bytes.u32(packet, 18) != rootVector) {
      return Refusal.VECTOR;
    } else if (length < least) {
      return Refusal.TOO_SHORT;
    }
    int end = 16 + (Bytes.u16(packet, 16) & 0xFFF);
    if (end > length || end < least) {
      return Refusal.LENGTH;
    }
    Refusal framing = refuseLayer(packet, 38, end);
    if (framing != null) {
      return framing;
    }
    return Bytes.u32(packet, 40) != framingVector ? Refusal.VECTOR : null;
  }

  private static Refusal refuseLayer(byte[] packet, int at, int end) {
    if (Bytes.u8(packet, at) >> 4 != 7) {
      return Refusal.FLAGS;
    }
    return at + (Bytes.u16(packet, at) & 0xFFF) != end ? Refusal.LENGTH : null;
  }

  /**
   * @return why it is no synchronization packet; null where it is one
   */
  public static Refusal refuseSync(byte[] packet, int length, boolean strict) {
    Refusal outer = refuseOuter(packet, length, 8, SYNC_SIZE, 1);
    if (outer != null) {
      return outer;
    }
    int address = Bytes.u16(packet, 45);
    if (address < 1 || address > LAST_UNIVERSE) {
      return Refusal.UNIVERSE;
    }
    return strict && length > SYNC_SIZE ? Refusal.LONGER : null;
  }

  /**
   * @return why it is no discovery packet; null where it is one
   */
  public static Refusal refuseDiscovery(byte[] packet, int length, boolean strict) {
    Refusal outer = refuseOuter(packet, length, 8, DISCOVERY_HEADER, 2);
    if (outer != null) {
      return outer;
    }
    int end = 16 + (Bytes.u16(packet, 16) & 0xFFF);
    Refusal list = refuseLayer(packet, 112, end);
    if (list != null) {
      return list;
    }
    int bytes = end - DISCOVERY_HEADER;
    if (Bytes.u32(packet, 114) != 1) {
      return Refusal.VECTOR;
    } else if (bytes % 2 != 0 || bytes > 2 * PAGE) {
      return Refusal.COUNT;
    }
    if (strict && end < length) {
      return Refusal.LONGER;
    }
    return strict ? refuseList(packet, bytes / 2) : null;
  }

  private static Refusal refuseList(byte[] packet, int count) {
    int before = 0;
    for (int i = 0; i < count; i++) {
      int universe = listed(packet, i);
      if (universe <= before || universe > LAST_UNIVERSE) {
        return Refusal.ORDER;
      }
      before = universe;
    }
    return Bytes.isText(packet, NAME_AT, NAME_FIELD) ? null : Refusal.NAME;
  }

  // what stands in a packet that is not refused

  public static int universe(byte[] packet) {
    return Bytes.u16(packet, 113);
  }

  public static int sequence(byte[] packet) {
    return Bytes.u8(packet, 111);
  }

  public static int priority(byte[] packet) {
    return Bytes.u8(packet, 108);
  }

  /** 0 where it is not synchronized. */
  public static int syncAddress(byte[] packet) {
    return Bytes.u16(packet, 109);
  }

  public static int options(byte[] packet) {
    return Bytes.u8(packet, 112) & (PREVIEW | TERMINATED | FORCE_SYNC);
  }

  public static int startCode(byte[] packet) {
    return Bytes.u8(packet, 125);
  }

  public static int slots(byte[] packet) {
    return Bytes.u16(packet, 123) - 1;
  }

  /** Where slot 1 stands. */
  public static int slotsAt() {
    return HEADER;
  }

  public static String name(byte[] packet) {
    return Bytes.textAt(packet, NAME_AT, NAME_FIELD);
  }

  /** Whether a packet is of this source. */
  public static boolean isFrom(byte[] packet, byte[] cid) {
    for (int i = 0; i < CID_SIZE; i++) {
      if (packet[CID_AT + i] != cid[i]) {
        return false;
      }
    }
    return true;
  }

  /** Copies the id of the source. */
  public static void cid(byte[] packet, byte[] to) {
    System.arraycopy(packet, CID_AT, to, 0, CID_SIZE);
  }

  public static int syncSequence(byte[] packet) {
    return Bytes.u8(packet, 44);
  }

  public static int syncPacketAddress(byte[] packet) {
    return Bytes.u16(packet, 45);
  }

  /** How many universes a discovery packet lists. */
  public static int listed(byte[] packet) {
    return ((Bytes.u16(packet, 112) & 0xFFF) - 8) / 2;
  }

  /** The universe at a place of a discovery packet's list, from 0. */
  public static int listed(byte[] packet, int place) {
    return Bytes.u16(packet, DISCOVERY_HEADER + 2 * place);
  }

  public static int page(byte[] packet) {
    return Bytes.u8(packet, 118);
  }

  public static int lastPage(byte[] packet) {
    return Bytes.u8(packet, 119);
  }

  /**
   * Whether a packet is newer than the last that was taken: a step back of less than 20, or none,
   * is not. Source: E1.31, sequence numbering.
   */
  public static boolean inOrder(int last, int sequence) {
    byte step = (byte) (sequence - last);
    return step > 0 || step <= -20;
  }
}
