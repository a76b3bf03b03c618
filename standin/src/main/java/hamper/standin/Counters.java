package hamper.standin;

import hamper.wire.Refusal;
import java.util.Map;
import java.util.TreeMap;

/** What arrived: packets by sender and universe, those that were not taken by reason. */
final class Counters {
  /** Packets of one sender for one universe; DDP has universe 0. */
  static final class Stream {
    long packets;
    long sequenceErrors;
    long last;
  }

  private final Map<String, Stream> streams = new TreeMap<>();
  private final Map<String, Long> refused = new TreeMap<>();
  private long packets;

  /** All that arrived, taken or not. */
  long packets() {
    return packets;
  }

  Map<String, Stream> streams() {
    return streams;
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

  Stream of(String sender, int universe, long now) {
    if (streams.size() > 10_000) {
      streams.clear(); // a flood of invented senders takes no memory
    }
    Stream stream = streams.computeIfAbsent(sender + " " + universe, key -> new Stream());
    stream.packets++;
    stream.last = now;
    return stream;
  }
}
