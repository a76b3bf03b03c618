package hamper.listen;

import hamper.address.IpAddress;
import hamper.address.Protocol;
import hamper.value.Foreign;
import hamper.wire.ArtNet;
import hamper.wire.Ddp;
import hamper.wire.E131;
import hamper.wire.Refusal;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * Everything of E1.31, Art-Net and DDP that was heard, by stream. Takes datagrams in the order in
 * which they were heard; for one thread at a time.
 */
public final class Air implements Datagrams {
  /** A flood of invented senders takes no memory beyond this. */
  public static final int MOST_STREAMS = 20_000;

  private static final int MOST_NAME = 64;
  private static final int MOST_NUMBER = 255;
  private static final int MOST_DDP_NUMBER = 15;

  /** Who sends what to whom; on E1.31 a sender is told by its CID, halves of which these are. */
  private record Key(
      Protocol protocol, long from, long cidHigh, long cidLow, long to, int universe) {}

  private record Announcer(long from, long cidHigh, long cidLow) {}

  private final Map<Key, StreamCount> streams = new HashMap<>();
  private final Map<Announcer, TreeSet<Integer>> announced = new HashMap<>();
  private final Map<Announcer, String> names = new HashMap<>();
  private final Map<String, Long> refused = new TreeMap<>();
  private final byte[] cid = new byte[16];
  private long datagrams;
  private long others;
  private long uncounted;
  private long first = Long.MAX_VALUE;
  private long last = Long.MIN_VALUE;

  @Override
  public void take(
      long micros, long from, int fromPort, long to, int toPort, byte[] bytes, int length) {
    datagrams++;
    first = Math.min(first, micros);
    last = Math.max(last, micros);
    switch (toPort) {
      case E131.PORT -> e131(micros, from, to, bytes, length);
      case ArtNet.PORT -> artNet(micros, from, to, bytes, length);
      case Ddp.PORT -> ddp(micros, from, to, bytes, length);
      default -> others++;
    }
  }

  private void e131(long micros, long from, long to, byte[] bytes, int length) {
    if (E131.isExtended(bytes, length)) {
      if (E131.isDiscovery(bytes, length)) {
        discovery(from, bytes, length);
      }
      return;
    }
    Refusal why = E131.refuseData(bytes, length, false);
    if (why != null) {
      refuse(Protocol.E131, why);
      return;
    }
    E131.cid(bytes, cid);
    Key key = new Key(Protocol.E131, from, half(cid, 0), half(cid, 8), to, E131.universe(bytes));
    StreamCount stream = of(key, 0, MOST_NUMBER);
    if (stream == null) {
      return;
    }
    stream.named(Foreign.line(E131.name(bytes), MOST_NAME));
    if ((E131.options(bytes) & E131.TERMINATED) != 0) {
      stream.ended();
      return;
    }
    stream.follows(E131.sequence(bytes));
    if (E131.startCode(bytes) != 0 || E131.slots(bytes) == 0) {
      stream.otherStartCode();
      return;
    }
    stream.priority(E131.priority(bytes));
    stream.levels(micros, E131.slots(bytes));
  }

  private static long half(byte[] cid, int from) {
    long half = 0;
    for (int i = from; i < from + 8; i++) {
      half = half << 8 | cid[i] & 255;
    }
    return half;
  }

  private void discovery(long from, byte[] bytes, int length) {
    Refusal why = E131.refuseDiscovery(bytes, length, false);
    if (why != null) {
      refuse(Protocol.E131, why);
      return;
    }
    E131.cid(bytes, cid);
    Announcer who = new Announcer(from, half(cid, 0), half(cid, 8));
    if (announced.size() >= MOST_STREAMS && !announced.containsKey(who)) {
      uncounted++;
      return;
    }
    names.put(who, Foreign.line(E131.name(bytes), MOST_NAME));
    TreeSet<Integer> universes = announced.computeIfAbsent(who, key -> new TreeSet<>());
    if (E131.page(bytes) == 0) {
      universes.clear();
    }
    for (int i = 0; i < E131.listed(bytes); i++) {
      universes.add(E131.listed(bytes, i));
    }
  }

  private void artNet(long micros, long from, long to, byte[] bytes, int length) {
    if (!ArtNet.is(bytes, length) || ArtNet.opcode(bytes) != ArtNet.DMX) {
      return; // polls, answers, synchronization: no levels
    }
    Refusal why = ArtNet.refuseDmx(bytes, length, false);
    if (why != null) {
      refuse(Protocol.ARTNET, why);
      return;
    }
    Key key = new Key(Protocol.ARTNET, from, 0, 0, to, ArtNet.portAddress(bytes));
    StreamCount stream = of(key, 1, MOST_NUMBER);
    if (stream != null) {
      if (ArtNet.sequence(bytes) > 0) {
        stream.follows(ArtNet.sequence(bytes));
      }
      stream.levels(micros, ArtNet.slots(bytes));
    }
  }

  private void ddp(long micros, long from, long to, byte[] bytes, int length) {
    Refusal why = Ddp.refuse(bytes, length, false);
    if (why != null) {
      refuse(Protocol.DDP, why);
      return;
    }
    boolean levels =
        !Ddp.is(bytes, Ddp.QUERY)
            && !Ddp.is(bytes, Ddp.REPLY)
            && Ddp.destination(bytes) != Ddp.CONFIGURATION
            && Ddp.destination(bytes) != Ddp.STATUS;
    if (!levels) {
      return;
    }
    StreamCount stream = of(new Key(Protocol.DDP, from, 0, 0, to, 0), 1, MOST_DDP_NUMBER);
    if (stream != null) {
      if (Ddp.sequence(bytes) > 0) {
        stream.follows(Ddp.sequence(bytes));
      }
      stream.part(micros, Ddp.offset(bytes) + Ddp.length(bytes), Ddp.is(bytes, Ddp.PUSH));
    }
  }

  private StreamCount of(Key key, int least, int greatest) {
    StreamCount stream = streams.get(key);
    if (stream == null && streams.size() < MOST_STREAMS) {
      stream =
          new StreamCount(key.protocol(), key.from(), key.to(), key.universe(), least, greatest);
      streams.put(key, stream);
    }
    uncounted += stream == null ? 1 : 0;
    return stream;
  }

  private void refuse(Protocol protocol, Refusal why) {
    refused.merge(protocol.title() + ": " + why.reason(), 1L, Long::sum);
  }

  /** All that carried levels, in no order. */
  public List<HeardStream> streams() {
    Collection<StreamCount> all = streams.values();
    return all.stream().map(StreamCount::told).filter(one -> one.packets() > 0).toList();
  }

  /** Sources that say what they send. */
  public List<HeardSource> sources() {
    List<HeardSource> told = new ArrayList<>();
    announced.forEach(
        (who, universes) ->
            told.add(
                new HeardSource(
                    IpAddress.ofBits(who.from()), names.get(who), List.copyOf(universes))));
    return told;
  }

  /** Packets that are not as their protocol says, by reason. */
  public Map<String, Long> refused() {
    return Map.copyOf(refused);
  }

  public long datagrams() {
    return datagrams;
  }

  /** Datagrams of other protocols. */
  public long others() {
    return others;
  }

  /** Packets of senders beyond {@link #MOST_STREAMS}. */
  public long uncounted() {
    return uncounted;
  }

  /** From the first datagram to the last (µs). */
  public long micros() {
    return datagrams == 0 ? 0 : last - first;
  }
}
