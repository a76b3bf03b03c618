package hamper.server.output;

import hamper.address.Protocol;
import hamper.address.Transport;
import hamper.config.SendLine;
import hamper.send.FrameLayout;
import hamper.send.KeepAlive;
import hamper.send.Packets;
import hamper.wire.ArtNet;
import hamper.wire.E131;
import java.io.IOException;
import java.net.InetSocketAddress;
import java.nio.ByteBuffer;
import java.nio.channels.ClosedChannelException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Predicate;

/** Sends frames of a display: laid out once, routes found once, one datagram after another. */
public final class FrameSender {
  private static final int TERMINATIONS = 3;

  /** Ahead of its time by less than this nothing waits (ns): the system's own clock is no finer. */
  private static final long SOON_NANOS = 200_000;

  /** A packet of a controller's frame, and who gets it. */
  private record Post(
      String key,
      byte[] frame,
      Packets packets,
      int index,
      ByteBuffer bytes,
      List<Sockets.Exit> exits) {
    boolean differs() {
      return packets.differs(index, frame);
    }

    boolean isE131() {
      return packets.at(index).protocol() == Protocol.E131;
    }
  }

  /**
   * What is sent or left out together: a universe, or all that goes to a device on DDP.
   *
   * @param place among all that is sent
   * @param synchronization its place among all; -1: nothing waits for one
   */
  private record Unit(int place, List<Post> posts, int synchronization) {}

  /** What synchronizes; on Art-Net its address is 0. */
  private static final class Synchronization {
    final int address;
    final Protocol protocol;
    final Set<Routes.Hop> hops = new LinkedHashSet<>();
    final List<Sockets.Exit> exits = new ArrayList<>();
    boolean due;

    Synchronization(Protocol protocol, int address) {
      this.protocol = protocol;
      this.address = address;
    }
  }

  private final Source source;
  private final Map<String, byte[]> frames = new LinkedHashMap<>();
  private final Set<String> reached = new HashSet<>();
  private final List<Unit> units = new ArrayList<>();
  private final List<Synchronization> synchronizations = new ArrayList<>();
  private final List<Sockets.Exit> announcement = new ArrayList<>();
  private final KeepAlive keepAlive;
  private final ByteBuffer sync = ByteBuffer.allocate(E131.SYNC_SIZE);
  private final int count;
  private long failed;

  /** Told of each datagram that has left. */
  @FunctionalInterface
  public interface Sent {
    void to(InetSocketAddress receiver) throws IOException;
  }

  public FrameSender(Source source, Map<String, FrameLayout> layouts, Routes routes)
      throws IOException {
    this.source = source;
    Set<String> shared = new HashSet<>();
    for (var one : layouts.entrySet()) {
      lay(one.getKey(), one.getValue(), routes, shared);
    }
    for (Synchronization one : synchronizations) {
      one.exits.addAll(exits(List.copyOf(one.hops)));
    }
    announcement.addAll(exits(routes.announcement()));
    keepAlive = new KeepAlive(units.size());
    count = units.stream().mapToInt(unit -> unit.posts().size()).sum();
  }

  private List<Sockets.Exit> exits(List<Routes.Hop> hops) throws IOException {
    List<Sockets.Exit> exits = new ArrayList<>();
    for (Routes.Hop hop : hops) {
      exits.add(source.sockets().exit(hop));
    }
    return exits;
  }

  private void lay(String controller, FrameLayout layout, Routes routes, Set<String> shared)
      throws IOException {
    byte[] frame = new byte[layout.length()];
    frames.put(controller, frame);
    Packets packets = source.packets(layout);
    List<Post> together = new ArrayList<>();
    for (int i = 0; i < packets.count(); i++) {
      Packets.Packet packet = packets.at(i);
      SendLine line = packet.line();
      String key = "%s %s %d".formatted(line.protocol(), line.transport(), packet.universe());
      // a group or a broadcast gets each universe once, however many listen to it
      boolean first = line.transport() == Transport.UNICAST || shared.add(key);
      List<Routes.Hop> hops = first ? routes.of(line, packet.universe()) : List.of();
      if (!first || !hops.isEmpty()) {
        reached.add(controller);
      }
      if (hops.isEmpty()) {
        continue;
      }
      ByteBuffer bytes = ByteBuffer.wrap(packet.bytes(), 0, packet.size());
      Post post = new Post(key + hops, frame, packets, i, bytes, exits(hops));
      if (packet.protocol() == Protocol.DDP) {
        together.add(post);
      } else {
        units.add(new Unit(units.size(), List.of(post), waits(controller, line, routes)));
      }
    }
    if (!together.isEmpty()) {
      units.add(new Unit(units.size(), together, -1));
    }
  }

  private int waits(String controller, SendLine line, Routes routes) {
    if (line.synchronization().isEmpty()) {
      return -1;
    }
    int address = line.protocol() == Protocol.ARTNET ? 0 : line.synchronization().get();
    int place = 0;
    while (place < synchronizations.size()
        && (synchronizations.get(place).protocol != line.protocol()
            || synchronizations.get(place).address != address)) {
      place++;
    }
    if (place == synchronizations.size()) {
      synchronizations.add(new Synchronization(line.protocol(), address));
    }
    synchronizations
        .get(place)
        .hops
        .addAll(routes.synchronization(controller, line.protocol(), address));
    return place;
  }

  /** The levels of a controller, to be written before a frame is sent. */
  public byte[] frame(String controller) {
    return frames.get(controller);
  }

  /** Controllers that anything is sent to. */
  public Set<String> reached() {
    return reached;
  }

  /** Datagrams that the system did not take. */
  public long failed() {
    return failed;
  }

  /** Sends all of a frame at once, changed or not. */
  public void sendAll(Sent sent) throws IOException {
    send(0, unit -> true, sent);
  }

  /**
   * Sends all of a frame, changed or not, spread over a time: what is said last must not overrun
   * the buffer of a device that was busy for a moment.
   *
   * @param spread (ns) within which it is over
   */
  public void sendAll(long spread, Sent sent) throws IOException {
    send(spread, unit -> true, sent);
  }

  /**
   * Sends what is due of a frame, spread over a time: first all data, then what synchronizes it.
   *
   * @param spread (ns) within which it is over
   */
  public void send(long spread, Sent sent) throws IOException {
    send(spread, unit -> keepAlive.due(unit.place(), differs(unit), System.nanoTime()), sent);
  }

  private void send(long spread, Predicate<Unit> due, Sent sent) throws IOException {
    long begin = System.nanoTime();
    int before = 0;
    for (Unit unit : units) {
      await(begin + spread * before / Math.max(1, count));
      if (due.test(unit)) {
        send(unit, sent);
      }
      before += unit.posts().size();
    }
    synchronize(sent);
  }

  private static boolean differs(Unit unit) {
    for (Post post : unit.posts()) {
      if (post.differs()) {
        return true;
      }
    }
    return false;
  }

  private static void await(long due) {
    long left = due - System.nanoTime();
    if (left > SOON_NANOS) {
      LockSupport.parkNanos(left);
    }
  }

  private void send(Unit unit, Sent sent) throws IOException {
    for (Post post : unit.posts()) {
      post.packets().next(post.index(), post.frame());
      datagrams(post.bytes(), post.exits(), sent);
    }
    if (unit.synchronization() >= 0) {
      synchronizations.get(unit.synchronization()).due = true;
    }
  }

  private void synchronize(Sent sent) throws IOException {
    for (Synchronization one : synchronizations) {
      if (one.due) {
        one.due = false;
        int size =
            one.protocol == Protocol.ARTNET
                ? ArtNet.writeSync(sync.array())
                : E131.writeSync(
                    sync.array(),
                    source.cid(),
                    source.nextSynchronization(one.address),
                    one.address);
        sync.clear().limit(size);
        datagrams(sync, one.exits, sent);
      }
    }
  }

  /** Says on E1.31 which universes are sent, as a source has to every ten seconds. */
  public void announce(Sent sent) throws IOException {
    TreeSet<Integer> universes = new TreeSet<>();
    for (Unit unit : units) {
      unit.posts().stream()
          .filter(Post::isE131)
          .forEach(post -> universes.add(post.packets().at(post.index()).universe()));
    }
    if (universes.isEmpty()) {
      return;
    }
    int[] all = universes.stream().mapToInt(Integer::intValue).toArray();
    int last = (all.length - 1) / E131.PAGE;
    for (int page = 0; page <= last; page++) {
      int from = page * E131.PAGE;
      int listed = Math.min(E131.PAGE, all.length - from);
      byte[] packet = new byte[E131.discoverySize(listed)];
      int[] these = Arrays.copyOfRange(all, from, from + listed);
      E131.writeDiscovery(packet, source.cid(), source.name(), these, page, last);
      datagrams(ByteBuffer.wrap(packet), announcement, sent);
    }
  }

  /**
   * Says three times that the source ends, where the protocol can say it.
   *
   * @param spread (ns) within which each of the three is over
   */
  public void terminate(long spread, Sent sent) throws IOException {
    end(post -> true, spread, sent);
  }

  /**
   * Sends what goes nowhere with those who send from now on, and says that it ends.
   *
   * @param after who sends from now on
   * @param spread (ns) within which each saying is over
   */
  public void endWhatIsNotIn(FrameSender after, long spread, Sent sent) throws IOException {
    Set<String> kept = new HashSet<>();
    after.units.forEach(unit -> unit.posts().forEach(post -> kept.add(post.key())));
    Predicate<Post> gone = post -> !kept.contains(post.key());
    for (int i = 0; i < TERMINATIONS; i++) {
      send(spread, unit -> unit.posts().stream().anyMatch(gone), sent);
    }
    end(gone, spread, sent);
  }

  private void end(Predicate<Post> which, long spread, Sent sent) throws IOException {
    for (int i = 0; i < TERMINATIONS; i++) {
      long begin = System.nanoTime();
      int before = 0;
      for (Unit unit : units) {
        await(begin + spread * before / Math.max(1, count));
        before += unit.posts().size();
        for (Post post : unit.posts()) {
          if (post.isE131() && which.test(post)) {
            post.packets().end(post.index(), post.frame());
            datagrams(post.bytes(), post.exits(), sent);
          }
        }
      }
    }
  }

  private void datagrams(ByteBuffer bytes, List<Sockets.Exit> exits, Sent sent) throws IOException {
    for (int i = 0; i < exits.size(); i++) {
      Sockets.Exit exit = exits.get(i);
      bytes.rewind();
      try {
        exit.send(bytes);
      } catch (ClosedChannelException e) {
        throw e; // whoever sent was stopped
      } catch (IOException e) {
        failed++; // an adapter that is gone for a moment; the others go on
        continue;
      }
      sent.to(exit.to());
    }
  }
}
