package hamper.server.yard;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;

/**
 * Reads packets anew, without a line of the program: what the dissector does not know is read by
 * this, and by this alone.
 */
final class SecondDecoder {
  /** Data of one of the protocols: universe 0 on DDP. */
  record Data(int universe, int sequence, int priority, UUID cid, byte[] levels, String flags) {}

  /** A synchronization packet of E1.31. */
  record Sync(UUID cid, int sequence, int address) {}

  /** A page of universe discovery. */
  record Discovery(UUID cid, String name, int page, int last, List<Integer> universes) {}

  private SecondDecoder() {}

  /** One of the records above; null where it is none of them. */
  static Object read(byte[] payload, int udp) {
    ByteBuffer in = ByteBuffer.wrap(payload);
    return switch (udp) {
      case 5568 -> acn(in);
      case 4048 -> ddp(in);
      default -> null;
    };
  }

  private static void expect(boolean holds, String what) {
    if (!holds) {
      throw new IllegalArgumentException(what);
    }
  }

  private static Object acn(ByteBuffer in) {
    expect(in.getShort() == 0x0010 && in.getShort() == 0, "preamble");
    byte[] identifier = new byte[12];
    in.get(identifier);
    expect(new String(identifier, StandardCharsets.US_ASCII).equals("ASC-E1.17\0\0\0"), "name");
    layer(in);
    int root = in.getInt();
    UUID cid = new UUID(in.getLong(), in.getLong());
    layer(in);
    int framing = in.getInt();
    if (root == 4) {
      expect(framing == 2, "framing");
      return data(in, cid);
    }
    expect(root == 8, "root");
    if (framing == 1) {
      Sync sync = new Sync(cid, in.get() & 255, in.getShort() & 0xffff);
      expect(in.getShort() == 0 && !in.hasRemaining(), "end");
      return sync;
    }
    expect(framing == 2, "framing");
    String name = text(in);
    expect(in.getInt() == 0, "reserved");
    layer(in);
    expect(in.getInt() == 1, "list");
    int page = in.get() & 255;
    int last = in.get() & 255;
    List<Integer> universes = new ArrayList<>();
    while (in.hasRemaining()) {
      universes.add(in.getShort() & 0xffff);
    }
    return new Discovery(cid, name, page, last, universes);
  }

  private static void layer(ByteBuffer in) {
    int length = in.remaining();
    int flags = in.getShort() & 0xffff;
    expect(flags == (0x7000 | length), "length of a layer");
  }

  private static String text(ByteBuffer in) {
    byte[] field = new byte[64];
    in.get(field);
    return new String(field, StandardCharsets.UTF_8).replaceAll("\0+$", "");
  }

  private static Data data(ByteBuffer in, UUID cid) {
    String name = text(in);
    int priority = in.get() & 255;
    int sync = in.getShort() & 0xffff;
    int sequence = in.get() & 255;
    int options = in.get() & 255;
    int universe = in.getShort() & 0xffff;
    layer(in);
    expect(in.get() == 2 && (in.get() & 255) == 0xa1, "vector, types");
    expect(in.getShort() == 0 && in.getShort() == 1, "addresses");
    int count = in.getShort() & 0xffff;
    expect(count == in.remaining() && in.get() == 0, "count, start code");
    byte[] levels = new byte[in.remaining()];
    in.get(levels);
    return new Data(
        universe, sequence, priority, cid, levels, name + " sync " + sync + " options " + options);
  }

  private static Data ddp(ByteBuffer in) {
    int flags = in.get() & 255;
    expect((flags & 0xc0) == 0x40, "version");
    int sequence = in.get() & 255;
    int type = in.get() & 255;
    int id = in.get() & 255;
    int offset = in.getInt();
    int length = in.getShort() & 0xffff;
    expect(length == in.remaining(), "length");
    byte[] levels = new byte[length];
    in.get(levels);
    return new Data(
        0,
        sequence,
        0,
        null,
        levels,
        "flags %02x type %02x id %d offset %d".formatted(flags, type, id, offset));
  }
}
