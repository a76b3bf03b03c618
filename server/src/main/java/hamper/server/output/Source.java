package hamper.server.output;

import hamper.send.FrameLayout;
import hamper.send.Packets;
import hamper.send.Sequences;
import java.io.Closeable;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;

/**
 * Who sends: one identity over its life, with the sequence numbers of all that it ever sent, so
 * that they go on where a display is laid out anew.
 */
public final class Source implements Closeable {
  private static final int CID_SIZE = 16;

  private final Packets.Source source;
  private final Sequences sequences = new Sequences();
  private final Map<Integer, Integer> synchronizations = new HashMap<>();
  private final Sockets sockets;

  private Source(Sockets sockets) {
    UUID id = UUID.randomUUID();
    byte[] cid =
        ByteBuffer.allocate(CID_SIZE)
            .putLong(id.getMostSignificantBits())
            .putLong(id.getLeastSignificantBits())
            .array();
    source = new Packets.Source(cid, "Hamper");
    this.sockets = sockets;
  }

  public static Source create() {
    return ofTtl(1);
  }

  /**
   * @param groupTtl of what goes to groups
   */
  public static Source ofTtl(int groupTtl) {
    return new Source(new Sockets(groupTtl));
  }

  Packets packets(FrameLayout layout) {
    return Packets.of(layout, source, sequences);
  }

  byte[] cid() {
    return source.cid();
  }

  String name() {
    return source.name();
  }

  /** The next number of a synchronization address; Art-Net, which has none, is 0. */
  int nextSynchronization(int address) {
    return synchronizations.merge(address, 1, Integer::sum) - 1 & 255;
  }

  Sockets sockets() {
    return sockets;
  }

  @Override
  public void close() throws IOException {
    sockets.close();
  }
}
