package hamper.server.output;

import hamper.address.Protocol;
import hamper.address.Transport;
import hamper.config.SendLine;
import hamper.send.FrameLayout;
import hamper.send.Packets;
import hamper.send.Sequences;
import hamper.wire.ArtNet;
import hamper.wire.E131;
import java.io.Closeable;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.ByteBuffer;
import java.nio.channels.DatagramChannel;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;

/** Sends frames of a display: laid out once, routes found once, one datagram after another. */
public final class FrameSender implements Closeable {
  private static final int TERMINATIONS = 3;

  /** A packet of a controller's frame, and who gets it. */
  private record Post(byte[] frame, Packets packets, int index, List<InetSocketAddress> to) {}

  private final DatagramChannel channel;
  private final List<Post> posts = new ArrayList<>();
  private final Map<String, byte[]> frames = new LinkedHashMap<>();

  /** Synchronization addresses of E1.31 with those who wait for them. */
  private final Map<Integer, Set<InetSocketAddress>> synchronizations = new LinkedHashMap<>();

  private final List<InetSocketAddress> artSync = new ArrayList<>();
  private final Sequences sequences = new Sequences();
  private final Packets.Source source;
  private final byte[] sync = new byte[E131.SYNC_SIZE];
  private int syncSequence;

  /** Told of each datagram that has left. */
  @FunctionalInterface
  public interface Sent {
    void to(InetSocketAddress receiver) throws IOException;
  }

  public FrameSender(Map<String, FrameLayout> layouts, Routes routes) throws IOException {
    source = new Packets.Source(cid(), "Hamper");
    channel = DatagramChannel.open();
    channel.bind(new InetSocketAddress(InetAddress.getByName("127.0.0.1"), 0));
    Set<String> shared = new HashSet<>();
    layouts.forEach((controller, layout) -> lay(controller, layout, routes, shared));
  }

  /** A source's id is its own over its life. */
  private static byte[] cid() {
    UUID id = UUID.randomUUID();
    return ByteBuffer.allocate(16)
        .putLong(id.getMostSignificantBits())
        .putLong(id.getLeastSignificantBits())
        .array();
  }

  private void lay(String controller, FrameLayout layout, Routes routes, Set<String> shared) {
    byte[] frame = new byte[layout.length()];
    frames.put(controller, frame);
    Packets packets = Packets.of(layout, source, sequences);
    for (int i = 0; i < packets.count(); i++) {
      Packets.Packet packet = packets.at(i);
      SendLine line = packet.line();
      // a group or a broadcast gets each universe once, however many listen to it
      String once = "%s %s %d".formatted(line.protocol(), line.transport(), packet.universe());
      boolean first = line.transport() == Transport.UNICAST || shared.add(once);
      if (first) {
        posts.add(new Post(frame, packets, i, routes.of(line, packet.universe())));
      }
    }
    for (SendLine line : layout.lines()) {
      line.synchronization().ifPresent(address -> wait(controller, line, address, routes));
    }
  }

  private void wait(String controller, SendLine line, int address, Routes routes) {
    if (line.protocol() == Protocol.E131) {
      synchronizations
          .computeIfAbsent(
              address, key -> new TreeSet<>(Comparator.comparing(InetSocketAddress::toString)))
          .add(routes.of(controller, Protocol.E131));
    } else if (line.protocol() == Protocol.ARTNET && artSync.isEmpty()) {
      artSync.addAll(routes.everybody(Protocol.ARTNET));
    }
  }

  /** The levels of a controller, to be written before a frame is sent. */
  public byte[] frame(String controller) {
    return frames.get(controller);
  }

  /** Sends one frame: all data, then what synchronizes it. */
  public void send(Sent sent) throws IOException {
    for (Post post : posts) {
      Packets.Packet packet = post.packets().next(post.index(), post.frame());
      datagrams(packet.bytes(), packet.size(), post.to(), sent);
    }
    for (var one : synchronizations.entrySet()) {
      E131.writeSync(sync, source.cid(), syncSequence++ & 255, one.getKey());
      datagrams(sync, E131.SYNC_SIZE, one.getValue(), sent);
    }
    if (!artSync.isEmpty()) {
      datagrams(sync, ArtNet.writeSync(sync), artSync, sent);
    }
  }

  /** Says three times that the source ends, where the protocol can say it. */
  public void terminate(Sent sent) throws IOException {
    for (int i = 0; i < TERMINATIONS; i++) {
      for (Post post : posts) {
        if (post.packets().at(post.index()).protocol() == Protocol.E131) {
          Packets.Packet packet = post.packets().end(post.index(), post.frame());
          datagrams(packet.bytes(), packet.size(), post.to(), sent);
        }
      }
    }
  }

  private void datagrams(byte[] bytes, int size, Iterable<InetSocketAddress> receivers, Sent sent)
      throws IOException {
    for (InetSocketAddress receiver : receivers) {
      channel.send(ByteBuffer.wrap(bytes, 0, size), receiver);
      sent.to(receiver);
    }
  }

  @Override
  public void close() throws IOException {
    channel.close();
  }
}
