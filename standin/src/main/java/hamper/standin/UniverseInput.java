package hamper.standin;

import hamper.wire.E131;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;

/**
 * The sources of one universe on E1.31: the highest priority counts, of equals the latest; a source
 * that is silent for 2.5 s, or ends, is gone; packets out of order are not taken. Source: E1.31,
 * "Several sources", "Sequence", "Timing".
 */
final class UniverseInput {
  private static final int MOST_SOURCES = 8;

  private static final class Source {
    final byte[] cid = new byte[16];
    int priority;
    int sequence;
    long heard;
  }

  /** What becomes of a packet. */
  enum Verdict {
    TAKEN,
    OUT_OF_ORDER,
    OUTRANKED,
    ENDED,
    TOO_MANY
  }

  private final List<Source> sources = new ArrayList<>();

  /**
   * @param packet that is not refused
   */
  Verdict take(byte[] packet, long now) {
    forget(now);
    Source source = find(packet);
    if (source == null && sources.size() == MOST_SOURCES) {
      return Verdict.TOO_MANY;
    }
    boolean fresh = source == null;
    if (fresh) {
      source = new Source();
      E131.cid(packet, source.cid);
      sources.add(source);
    } else if (!E131.inOrder(source.sequence, E131.sequence(packet))) {
      return Verdict.OUT_OF_ORDER;
    }
    source.sequence = E131.sequence(packet);
    source.heard = now;
    // what is above 200 is nobody's right: it does not win
    source.priority = Math.min(E131.priority(packet), E131.MOST_PRIORITY);
    if ((E131.options(packet) & E131.TERMINATED) != 0) {
      sources.remove(source);
      return Verdict.ENDED;
    }
    int highest = sources.stream().mapToInt(one -> one.priority).max().orElse(0);
    return source.priority == highest ? Verdict.TAKEN : Verdict.OUTRANKED;
  }

  /** How many sources of the highest priority there are: two are a quarrel that is told. */
  int equals(long now) {
    forget(now);
    int highest = sources.stream().mapToInt(one -> one.priority).max().orElse(0);
    return (int) sources.stream().filter(one -> one.priority == highest).count();
  }

  private void forget(long now) {
    for (Iterator<Source> all = sources.iterator(); all.hasNext(); ) {
      if (now - all.next().heard > E131.LOSS_MILLIS) {
        all.remove();
      }
    }
  }

  private Source find(byte[] packet) {
    for (Source one : sources) {
      if (E131.isFrom(packet, one.cid)) {
        return one;
      }
    }
    return null;
  }
}
