package hamper.server.network;

import hamper.address.MulticastGroup;
import hamper.address.Protocol;
import hamper.address.Transport;
import hamper.facts.Facts;
import hamper.listen.Air;
import hamper.listen.Datagrams;
import hamper.listen.HeardSource;
import hamper.listen.PlannedStream;
import hamper.server.output.Asking;
import hamper.wire.ArtNet;
import hamper.wire.Ddp;
import hamper.wire.E131;
import java.io.Closeable;
import java.io.IOException;
import java.net.InetAddress;
import java.net.NetworkInterface;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;

/**
 * Hears the network by the adapters that are in the planned subnets: planned groups, groups that a
 * source says it sends, broadcasts, and what comes to this computer itself.
 */
final class LiveAir implements Closeable {
  private final Asking asking;
  private final Ears ears = new Ears();
  private final Set<Integer> joined = new HashSet<>();
  private final Set<String> notes = new TreeSet<>();

  LiveAir(Asking asking, Facts facts) throws IOException {
    this.asking = asking;
    for (Asking.From from : asking.from()) {
      for (int port : new int[] {E131.PORT, ArtNet.PORT, Ddp.PORT}) {
        listen(() -> ears.at(from.own(), port), from.own().getHostAddress(), port);
      }
      if (from.broadcast().isPresent()) {
        InetAddress all = from.broadcast().get();
        for (int port : new int[] {E131.PORT, ArtNet.PORT, Ddp.PORT}) {
          listen(() -> ears.everybody(all, port), all.getHostAddress(), port);
        }
      }
    }
    join(E131.DISCOVERY_UNIVERSE);
    for (PlannedStream one : PlannedStream.of(facts)) {
      if (one.protocol() == Protocol.E131 && one.transport() == Transport.MULTICAST) {
        join(one.universe());
      }
    }
  }

  private interface Opening {
    Object open() throws IOException;
  }

  private void listen(Opening opening, String address, int port) {
    try {
      opening.open();
    } catch (IOException e) {
      notes.add(
          "%s, port %d: another program keeps it to itself (%s)"
              .formatted(address, port, e.getMessage()));
    }
  }

  private void join(int universe) {
    if (!joined.add(universe)) {
      return;
    }
    try {
      InetAddress group = InetAddress.getByName(MulticastGroup.of(universe));
      for (Asking.From from : asking.from()) {
        NetworkInterface by = NetworkInterface.getByInetAddress(from.own());
        ears.join(group, E131.PORT, by, LiveAir::groupOf);
      }
    } catch (IOException e) {
      notes.add("universe %d: its group cannot be joined (%s)".formatted(universe, e.getMessage()));
    }
  }

  /** Sockets that have joined groups hear those only: which one stands in the packet. */
  private static long groupOf(byte[] packet, int length) {
    int universe = E131.DISCOVERY_UNIVERSE;
    if (!E131.isExtended(packet, length)) {
      universe = E131.refuseData(packet, length, false) == null ? E131.universe(packet) : 0;
    } else if (!E131.isDiscovery(packet, length)
        && E131.refuseSync(packet, length, false) == null) {
      universe = E131.syncPacketAddress(packet);
    }
    return (239L << 24) | (255L << 16) | universe;
  }

  /** Hears until a moment of the system's clock; groups that a source speaks of are joined then. */
  void hear(long untilNanos, Air air) throws IOException {
    Datagrams to = air;
    ears.hear(untilNanos, to);
    for (HeardSource source : air.sources()) {
      source.universes().forEach(this::join);
    }
  }

  List<String> notes() {
    return new ArrayList<>(notes);
  }

  @Override
  public void close() throws IOException {
    ears.close();
  }
}
