package hamper.samples;

import hamper.address.IpAddress;
import hamper.address.MulticastGroup;
import hamper.address.Protocol;
import hamper.config.SendLine;
import hamper.facts.Facts;
import hamper.listen.Datagrams;
import hamper.send.FrameLayout;
import hamper.send.FrameLayouts;
import hamper.send.Packets;
import hamper.send.Sequences;
import hamper.wire.ArtNet;
import hamper.wire.Ddp;
import hamper.wire.E131;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** The datagrams that a plan's sources send, frame after frame, without a network. */
public final class PlayedAir {
  /** Between two frames (µs): forty a second. */
  public static final long FRAME_MICROS = 25_000;

  /** A source that no display names. */
  public static final String NOBODY = "198.51.100.250";

  private record Post(Packets packets, int index, byte[] frame, long from, long to) {}

  private final List<Post> posts = new ArrayList<>();
  private long micros = 1_764_000_000_000_000L;
  private int played;

  /**
   * @param facts of which everything that has an address is sent; where a host is named it sends,
   *     else {@link #NOBODY}
   */
  public PlayedAir(Facts facts) {
    Sequences sequences = new Sequences();
    Set<String> shared = new HashSet<>();
    for (Map.Entry<String, FrameLayout> one : FrameLayouts.of(facts).entrySet()) {
      if (facts.plan().existingController(one.getKey()).sending().fromStorage()) {
        continue;
      }
      Packets packets =
          Packets.of(one.getValue(), new Packets.Source(new byte[16], "Desk"), sequences);
      byte[] frame = new byte[one.getValue().length()];
      for (int i = 0; i < packets.count(); i++) {
        Packets.Packet packet = packets.at(i);
        SendLine line = packet.line();
        String to = to(line, packet.universe());
        String key = "%s %s %d".formatted(line.protocol(), to, packet.universe());
        if (!to.isEmpty() && (line.protocol() == Protocol.DDP || shared.add(key))) {
          long from = new IpAddress(from(facts, line)).bits();
          posts.add(new Post(packets, i, frame, from, new IpAddress(to).bits()));
        }
      }
    }
  }

  private static String from(Facts facts, SendLine line) {
    return line.sourceId()
        .map(id -> facts.plan().existingController(id))
        .flatMap(
            host ->
                host.address()
                    .or(() -> host.adapters().stream().map(one -> one.address()).findFirst()))
        .map(IpAddress::text)
        .orElse(NOBODY);
  }

  private static String to(SendLine line, int universe) {
    return switch (line.transport()) {
      case UNICAST -> line.destinationKind() == SendLine.Kind.ADDRESS ? line.destination() : "";
      case MULTICAST -> MulticastGroup.of(universe);
      case BROADCAST -> "198.51.100.255";
    };
  }

  /** Plays so many frames more, each a step brighter. */
  public void play(int frames, Datagrams to) {
    for (int i = 0; i < frames; i++) {
      played++;
      for (Post post : posts) {
        Arrays.fill(post.frame(), (byte) played);
        Packets.Packet packet = post.packets().next(post.index(), post.frame());
        int port = port(packet.protocol());
        to.take(micros, post.from(), port, post.to(), port, packet.bytes(), packet.size());
      }
      micros += FRAME_MICROS;
    }
  }

  private static int port(Protocol protocol) {
    return switch (protocol) {
      case E131 -> E131.PORT;
      case ARTNET -> ArtNet.PORT;
      default -> Ddp.PORT;
    };
  }
}
