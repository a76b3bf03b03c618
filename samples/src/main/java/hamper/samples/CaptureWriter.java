package hamper.samples;

import hamper.listen.Datagrams;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;

/** Writes datagrams as a capture in pcap, each in a frame of Ethernet or of another link. */
public final class CaptureWriter implements Datagrams {
  /** What stands before the IPv4 packet in a frame of a link. */
  public enum Framing {
    NULL(0, 2, 0, 0, 0),
    ETHERNET(1, 0, 0, 0, 0, 0, 2, 2, 0, 0, 0, 0, 1, 8, 0),
    ETHERNET_VLAN(1, 0, 0, 0, 0, 0, 2, 2, 0, 0, 0, 0, 1, 0x81, 0, 0, 7, 8, 0),
    ETHERNET_TWO_VLANS(
        1, 0, 0, 0, 0, 0, 2, 2, 0, 0, 0, 0, 1, 0x88, 0xa8, 0, 9, 0x81, 0, 0, 7, 8, 0),
    RAW(101),
    LOOP(108, 0, 0, 0, 2),
    SLL(113, 0, 0, 0, 1, 0, 6, 2, 0, 0, 0, 0, 1, 0, 0, 8, 0),
    IPV4(228),
    SLL2(276, 8, 0, 0, 0, 0, 0, 0, 2, 0, 1, 0, 6, 2, 0, 0, 0, 0, 1, 0, 0);

    private final int link;
    private final byte[] head;

    Framing(int link, int... head) {
      this.link = link;
      this.head = new byte[head.length];
      for (int i = 0; i < head.length; i++) {
        this.head[i] = (byte) head[i];
      }
    }

    /** Its number in the registry of link types. */
    public int link() {
      return link;
    }
  }

  private static final int MICRO_MAGIC = 0xa1b2c3d4;
  private static final int NANO_MAGIC = 0xa1b23c4d;
  private static final int MICROS = 1_000_000;

  private final OutputStream out;
  private final Framing framing;
  private final ByteOrder order;
  private final boolean nanos;

  public CaptureWriter(OutputStream out, Framing framing, ByteOrder order, boolean nanos)
      throws IOException {
    this.out = out;
    this.framing = framing;
    this.order = order;
    this.nanos = nanos;
    ByteBuffer head = ByteBuffer.allocate(24).order(order);
    head.putInt(nanos ? NANO_MAGIC : MICRO_MAGIC).putShort((short) 2).putShort((short) 4);
    head.putLong(0).putInt(262_144).putInt(framing.link);
    out.write(head.array());
  }

  @Override
  public void take(
      long micros, long from, int fromPort, long to, int toPort, byte[] bytes, int length) {
    byte[] frame = frame(framing, from, fromPort, to, toPort, bytes, length);
    ByteBuffer record = ByteBuffer.allocate(16).order(order);
    record.putInt((int) (micros / MICROS));
    record.putInt((int) (micros % MICROS) * (nanos ? 1_000 : 1));
    record.putInt(frame.length).putInt(frame.length);
    try {
      out.write(record.array());
      out.write(frame);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** A frame of a link with a datagram in it. */
  public static byte[] frame(
      Framing framing, long from, int fromPort, long to, int toPort, byte[] bytes, int length) {
    ByteBuffer frame = ByteBuffer.allocate(framing.head.length + 28 + length);
    frame.put(framing.head);
    frame.put((byte) 0x45).put((byte) 0).putShort((short) (28 + length));
    frame.putInt(0).put((byte) 64).put((byte) 17).putShort((short) 0);
    frame.putInt((int) from).putInt((int) to);
    frame.putShort((short) fromPort).putShort((short) toPort);
    frame.putShort((short) (8 + length)).putShort((short) 0);
    frame.put(bytes, 0, length);
    return frame.array();
  }
}
