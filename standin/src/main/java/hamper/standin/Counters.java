package hamper.standin;

import hamper.wire.Refusal;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

/** What arrived: packets by sender and universe, those that were not taken by reason. */
final class Counters {
  private static final int MOST_STREAMS = 10_000;

  /** Packets of one sender for one universe; DDP has universe 0. */
  static final class Stream {
    long packets;
    long sequenceErrors;

    /** Numbers that were left out between packets. */
    long missing;

    long last;

    /** Of its last packet; on DDP bytes up to the last of a frame. */
    int slots;

    /** Of its last packet on E1.31; -1: it has none. */
    int priority = -1;

    private int number = -1;

    /**
     * Counts what is missing before a packet.
     *
     * @param least number after the greatest, such as 0 of 0..255
     * @param greatest number there is
     */
    void follows(int sequence, int least, int greatest) {
      if (number >= 0) {
        int expected = number == greatest ? least : number + 1;
        missing += Math.floorMod(sequence - expected, greatest - least + 1);
      }
      number = sequence;
    }
  }

  /** Who sends what. */
  private record Key(InetSocketAddress sender, Spoken protocol, int universe) {}

  /** Told of each stream. */
  interface Told {
    /**
     * @param sender such as "127.0.0.1:40123"
     */
    void of(String sender, Spoken protocol, int universe, Stream stream);
  }

  private final Map<Key, Stream> streams = new HashMap<>();
  private final Map<String, Long> refused = new TreeMap<>();
  private long packets;

  /** All that arrived, taken or not. */
  long packets() {
    return packets;
  }

  /** Tells of each stream, by sender. */
  void streams(Told told) {
    streams.entrySet().stream()
        .sorted(
            Comparator.<Map.Entry<Key, Stream>, String>comparing(one -> name(one.getKey().sender()))
                .thenComparing(one -> one.getKey().protocol())
                .thenComparing(one -> one.getKey().universe()))
        .forEach(
            one ->
                told.of(
                    name(one.getKey().sender()),
                    one.getKey().protocol(),
                    one.getKey().universe(),
                    one.getValue()));
  }

  /** Universes that several computers send to at the time. */
  int shared(long now, long within) {
    Map<Integer, Set<InetAddress>> senders = new HashMap<>();
    streams.forEach(
        (key, stream) -> {
          if (now - stream.last <= within) {
            senders
                .computeIfAbsent(key.universe(), universe -> new HashSet<>())
                .add(key.sender().getAddress());
          }
        });
    return (int) senders.values().stream().filter(of -> of.size() > 1).count();
  }

  private static String name(InetSocketAddress sender) {
    return sender.getAddress().getHostAddress() + ":" + sender.getPort();
  }

  Map<String, Long> refused() {
    return refused;
  }

  void arrived() {
    packets++;
  }

  void refuse(Refusal why) {
    refuse(why.reason());
  }

  void refuse(String why) {
    refused.merge(why, 1L, Long::sum);
  }

  Stream of(InetSocketAddress sender, Spoken protocol, int universe, long now) {
    if (streams.size() > MOST_STREAMS) {
      streams.clear(); // a flood of invented senders takes no memory
    }
    Stream stream =
        streams.computeIfAbsent(new Key(sender, protocol, universe), key -> new Stream());
    stream.packets++;
    stream.last = now;
    return stream;
  }
}
