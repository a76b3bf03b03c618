package hamper.capture;

import hamper.listen.Datagrams;
import java.io.BufferedInputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Reads a capture from front to back, one frame at a time, and gives away the UDP datagrams in it.
 * Sources: the descriptions of pcap and pcapng of the IETF's opsawg (draft-ietf-opsawg-pcap,
 * draft-ietf-opsawg-pcapng).
 */
public final class CaptureReader {
  /** Longest file that is taken over the network (bytes). */
  public static final long MOST_FILE = 1L << 30;

  /** Longest frame that is read (bytes): the most that capture programs keep of one. */
  static final int MOST_FRAME = 262_144;

  private static final int BUFFER = 1 << 18;
  private static final int PCAP_HEADER = 24;
  private static final int PCAP_RECORD = 16;
  private static final int MICRO_MAGIC = 0xa1b2c3d4;
  private static final int NANO_MAGIC = 0xa1b23c4d;
  private static final int SECTION = 0x0a0d0d0a;
  private static final int BYTE_ORDER_MAGIC = 0x1a2b3c4d;
  private static final int INTERFACE = 1;
  private static final int OLD_PACKET = 2;
  private static final int SIMPLE_PACKET = 3;
  private static final int PACKET = 6;
  private static final int BLOCK_ENDS = 12;
  private static final long MICROS = 1_000_000;

  /**
   * Where frames come from.
   *
   * @param link null where its frames are not read
   * @param unitsPerSecond of its times
   * @param offset seconds that are added to them
   */
  private record Adapter(Link link, int snap, long unitsPerSecond, long offset) {
    long micros(long units) {
      long seconds = Long.divideUnsigned(units, unitsPerSecond);
      long rest = Long.remainderUnsigned(units, unitsPerSecond);
      double part = (double) rest * MICROS / unitsPerSecond;
      return (seconds + offset) * MICROS + (long) part;
    }
  }

  /** What has to be known to read on. */
  private record State(boolean ng, ByteOrder order, List<Adapter> adapters) {}

  /** A place from which it can be read on. */
  public static final class Mark {
    private final long position;
    private final State state;

    private Mark(long position, State state) {
      this.position = position;
      this.state = state;
    }

    /** The byte of the file. */
    public long position() {
      return position;
    }
  }

  private final CountedInput in;
  private final byte[] head = new byte[32];
  private byte[] frame = new byte[2048];
  private final Datagram datagram = new Datagram();
  private State state;
  private long frames;
  private long unknownLinks;
  private String ended;

  private CaptureReader(CountedInput in, State state) {
    this.in = in;
    this.state = state;
  }

  /**
   * @throws CaptureException where it is no capture
   */
  public static CaptureReader open(InputStream in) throws IOException, CaptureException {
    CaptureReader reader =
        new CaptureReader(new CountedInput(new BufferedInputStream(in, BUFFER), 0), null);
    reader.begin();
    return reader;
  }

  /**
   * Reads on from a place.
   *
   * @param in the same file from the mark's position on
   */
  public static CaptureReader from(InputStream in, Mark mark) {
    return new CaptureReader(
        new CountedInput(new BufferedInputStream(in, BUFFER), mark.position), mark.state);
  }

  /** The place before the next frame. */
  public Mark mark() {
    return new Mark(in.position(), state);
  }

  private ByteBuffer numbers(byte[] from, int length) {
    return ByteBuffer.wrap(from, 0, length).order(state.order());
  }

  private void begin() throws IOException, CaptureException {
    int read = in.read(head, 4);
    if (read == 0) {
      throw new CaptureException("It is empty: a capture is a file of pcap or pcapng.");
    }
    int magic = ByteBuffer.wrap(head).getInt();
    if (read == 4 && magic == SECTION) {
      state = new State(true, ByteOrder.BIG_ENDIAN, List.of());
      beginSection();
      return;
    }
    ByteOrder order = orderOf(magic);
    if (read < 4 || order == null) {
      throw new CaptureException(
          "It begins with %s: that is neither pcap nor pcapng; tcpdump, dumpcap and the like write those."
              .formatted(told(head, read)));
    }
    beginPcap(order);
  }

  private static ByteOrder orderOf(int magic) {
    if (magic == MICRO_MAGIC || magic == NANO_MAGIC) {
      return ByteOrder.BIG_ENDIAN;
    }
    int turned = Integer.reverseBytes(magic);
    return turned == MICRO_MAGIC || turned == NANO_MAGIC ? ByteOrder.LITTLE_ENDIAN : null;
  }

  private static String told(byte[] bytes, int count) {
    StringBuilder told = new StringBuilder("the bytes");
    for (int i = 0; i < count; i++) {
      told.append(" %02x".formatted(bytes[i]));
    }
    return told.toString();
  }

  private void beginPcap(ByteOrder order) throws IOException, CaptureException {
    if (in.read(frame, PCAP_HEADER - 4) < PCAP_HEADER - 4) {
      throw new CaptureException(
          "It ends within the %d bytes of pcap's header.".formatted(PCAP_HEADER));
    }
    int magic = ByteBuffer.wrap(head).order(order).getInt();
    long units = magic == NANO_MAGIC ? 1_000 * MICROS : MICROS;
    ByteBuffer rest = ByteBuffer.wrap(frame).order(order);
    int number = rest.getInt(16) & 0xffff;
    Link link = Link.of(number);
    if (link == null) {
      throw new CaptureException(
          ("Its frames are of link type %d, which is not read: Ethernet, Linux cooked captures,"
                  + " raw IP and loopback are.")
              .formatted(number));
    }
    state = new State(false, order, List.of(new Adapter(link, MOST_FRAME, units, 0)));
  }

  /** After the type of a section's block. */
  private void beginSection() throws IOException, CaptureException {
    if (in.read(head, 8) < 8) {
      throw new CaptureException("It ends within the first block of pcapng.");
    }
    int magic = ByteBuffer.wrap(head).getInt(4);
    boolean turned = Integer.reverseBytes(magic) == BYTE_ORDER_MAGIC;
    if (magic != BYTE_ORDER_MAGIC && !turned) {
      throw new CaptureException(
          "Byte 8 on is no byte-order magic of pcapng, but %08x.".formatted(magic));
    }
    ByteOrder order = turned ? ByteOrder.LITTLE_ENDIAN : ByteOrder.BIG_ENDIAN;
    state = new State(true, order, List.of());
    long length = numbers(head, 8).getInt() & 0xffff_ffffL;
    if (length < BLOCK_ENDS + 16 || length % 4 != 0) {
      throw new CaptureException(
          "The first block of pcapng says that it has %d bytes.".formatted(length));
    }
    try {
      in.skip(length - BLOCK_ENDS);
    } catch (EOFException e) {
      throw new CaptureException("It ends within the first block of pcapng.");
    }
  }

  /**
   * Reads the next frame, and gives away what it carries.
   *
   * @return whether there was one
   */
  public boolean next(Datagrams to) throws IOException {
    if (ended != null) {
      return false;
    }
    long at = in.position();
    try {
      return state.ng() ? nextBlock(at, to) : nextRecord(at, to);
    } catch (EOFException e) {
      ended =
          "It ends in the middle of frame %d, which begins at byte %d; what is before it was read."
              .formatted(frames + 1, at);
      return false;
    }
  }

  private boolean damaged(long at, String how) {
    ended = "Frame %d at byte %d %s; what is before it was read.".formatted(frames + 1, at, how);
    return false;
  }

  private boolean nextRecord(long at, Datagrams to) throws IOException {
    int read = in.read(head, PCAP_RECORD);
    if (read == 0) {
      return false;
    } else if (read < PCAP_RECORD) {
      throw new EOFException();
    }
    ByteBuffer record = numbers(head, PCAP_RECORD);
    long kept = record.getInt(8) & 0xffff_ffffL;
    long rest = record.getInt(4) & 0xffff_ffffL;
    Adapter adapter = state.adapters().get(0);
    if (kept > MOST_FRAME) {
      return damaged(at, tooLong(kept));
    } else if (rest >= adapter.unitsPerSecond()) {
      return damaged(at, "has a time of %d parts of a second".formatted(rest));
    }
    long seconds = record.getInt(0) & 0xffff_ffffL;
    take(adapter, seconds * adapter.unitsPerSecond() + rest, (int) kept, to);
    return true;
  }

  private static String tooLong(long kept) {
    return "says that it has %d bytes, where %d are the most".formatted(kept, MOST_FRAME);
  }

  private void take(Adapter adapter, long units, int kept, Datagrams to) throws IOException {
    if (kept > frame.length) {
      frame = new byte[MOST_FRAME];
    }
    in.readFully(frame, kept);
    frames++;
    if (adapter.link() == null) {
      unknownLinks++;
      return;
    }
    int ip = adapter.link().ip(frame, kept);
    if (ip != Link.NONE) {
      datagram.give(frame, ip, kept, adapter.micros(units), to);
    }
  }

  /** Blocks that carry no frame are passed over on the way. */
  private boolean nextBlock(long begin, Datagrams to) throws IOException {
    long at = begin;
    while (true) {
      int read = in.read(head, 4);
      if (read == 0) {
        return false;
      } else if (read < 4) {
        throw new EOFException();
      }
      int type = numbers(head, 4).getInt();
      if (type == SECTION) {
        try {
          beginSection();
        } catch (CaptureException e) {
          return damaged(at, "is preceded by a section that cannot be read: " + e.getMessage());
        }
      } else {
        in.readFully(head, 4);
        long length = numbers(head, 4).getInt() & 0xffff_ffffL;
        if (length < BLOCK_ENDS || length % 4 != 0) {
          return damaged(at, "is in a block that says that it has %d bytes".formatted(length));
        }
        long body = length - BLOCK_ENDS;
        Boolean more = block(type, body, at, to);
        if (more != null) {
          return more;
        }
      }
      at = in.position();
    }
  }

  /**
   * @return whether to go on after it; null where no frame was in it
   */
  private Boolean block(int type, long body, long at, Datagrams to) throws IOException {
    if (type == INTERFACE) {
      return adapter(body, at);
    }
    boolean packet = type == PACKET || type == OLD_PACKET;
    if (!packet && type != SIMPLE_PACKET) {
      in.skip(body + 4);
      return null;
    }
    int fixed = packet ? 20 : 4;
    if (body < fixed) {
      return damaged(at, "is in a block of %d bytes, too few for one".formatted(body));
    }
    in.readFully(head, fixed);
    ByteBuffer fields = numbers(head, fixed);
    int place = packet ? type == PACKET ? fields.getInt(0) : fields.getShort(0) & 0xffff : 0;
    if (place < 0 || place >= state.adapters().size()) {
      return damaged(at, "is of adapter %d, which was not told of".formatted(place));
    }
    Adapter adapter = state.adapters().get(place);
    long kept =
        packet
            ? fields.getInt(12) & 0xffff_ffffL
            : Math.min(fields.getInt(0) & 0xffff_ffffL, adapter.snap());
    if (kept > MOST_FRAME || kept > body - fixed) {
      return damaged(at, kept > MOST_FRAME ? tooLong(kept) : "is longer than its block");
    }
    long units =
        packet ? (fields.getInt(4) & 0xffff_ffffL) << 32 | fields.getInt(8) & 0xffff_ffffL : 0;
    take(adapter, units, (int) kept, to);
    in.skip(body - fixed - kept + 4);
    return true;
  }

  private Boolean adapter(long body, long at) throws IOException {
    if (body < 8 || body > frame.length && body > MOST_FRAME) {
      return damaged(at, "is preceded by an adapter told in %d bytes".formatted(body));
    }
    byte[] told = new byte[(int) body];
    in.readFully(told, told.length);
    in.skip(4);
    ByteBuffer fields = numbers(told, told.length);
    int snap = fields.getInt(4);
    long units = MICROS;
    long offset = 0;
    int option = 8;
    while (option + 4 <= told.length) {
      int code = fields.getShort(option) & 0xffff;
      int length = fields.getShort(option + 2) & 0xffff;
      if (code == 0 || option + 4 + length > told.length) {
        break;
      } else if (code == 9 && length == 1) {
        units = unitsPerSecond(told[option + 4]);
      } else if (code == 14 && length == 8) {
        offset = fields.getLong(option + 4);
      }
      option += 4 + (length + 3) / 4 * 4;
    }
    if (units <= 0) {
      return damaged(at, "is preceded by an adapter whose times have no unit that is read");
    }
    List<Adapter> more = new ArrayList<>(state.adapters());
    more.add(
        new Adapter(
            Link.of(fields.getShort(0) & 0xffff),
            snap <= 0 ? MOST_FRAME : snap,
            units,
            Math.floorMod(offset, 1L << 40)));
    state = new State(true, state.order(), List.copyOf(more));
    return null;
  }

  /** As if_tsresol has it: a power of ten, or of two. */
  private static long unitsPerSecond(byte resolution) {
    int power = resolution & 0x7f;
    if (resolution < 0) {
      return power > 40 ? 0 : 1L << power;
    }
    return power > 12 ? 0 : (long) Math.pow(10, power);
  }

  /** What was read so far. */
  public CaptureSummary summary() {
    return new CaptureSummary(
        state.ng() ? "pcapng" : "pcap",
        in.position(),
        frames,
        datagram.given(),
        datagram.fragments(),
        datagram.shortened(),
        unknownLinks,
        Optional.ofNullable(ended));
  }
}
