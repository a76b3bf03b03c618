package hamper.standin;

import hamper.wire.Uid;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * How a bridge finds who is on a line: it asks ever smaller ranges of UIDs; several answer at once,
 * and what is heard is then none of their answers. Source: ANSI E1.20, "Discovery".
 */
final class RdmSearch {
  private static final int PREAMBLE = 7;
  private static final int SIZE = PREAMBLE + 1 + 16;
  private static final long LAST = 0xFFFF_FFFF_FFFEL;

  /** A line with devices on it. */
  interface Line {
    /**
     * What is heard when all that are not silenced, and whose UID lies in a range, answer at once.
     *
     * @return null where nobody does
     */
    byte[] hear(long low, long high);

    /** Silences a device, so that it answers no search; whether it says that it is. */
    boolean silence(Uid uid);

    void unsilenceAll();
  }

  private final Line line;
  private final List<Uid> found = new ArrayList<>();

  private RdmSearch(Line line) {
    this.line = line;
  }

  /** All that are on a line, in ascending order. */
  static List<Uid> of(Line line) {
    line.unsilenceAll();
    RdmSearch search = new RdmSearch(line);
    search.branch(0, LAST);
    return search.found.stream().sorted().toList();
  }

  private void branch(long low, long high) {
    byte[] heard = line.hear(low, high);
    while (heard != null) {
      Uid uid = decoded(heard);
      boolean one = uid != null && uid.bits() >= low && uid.bits() <= high && line.silence(uid);
      if (one) {
        found.add(uid);
      } else if (low == high) {
        return; // whatever answers there is no device that can be told apart
      } else {
        long middle = low + (high - low) / 2;
        branch(low, middle);
        branch(middle + 1, high);
        return;
      }
      heard = line.hear(low, high);
    }
  }

  /** An answer to a search: each byte twice, so that what collides shows. */
  static byte[] encoded(Uid uid) {
    byte[] answer = new byte[SIZE];
    Arrays.fill(answer, 0, PREAMBLE, (byte) 0xFE);
    answer[PREAMBLE] = (byte) 0xAA;
    int sum = 0;
    for (int i = 0; i < 6; i++) {
      int one = (int) (uid.bits() >> 8 * (5 - i)) & 255;
      sum += put(answer, PREAMBLE + 1 + 2 * i, one);
    }
    put(answer, PREAMBLE + 13, sum >> 8);
    put(answer, PREAMBLE + 15, sum & 255);
    return answer;
  }

  private static int put(byte[] to, int at, int one) {
    to[at] = (byte) (one | 0xAA);
    to[at + 1] = (byte) (one | 0x55);
    return (one | 0xAA) + (one | 0x55);
  }

  /**
   * @return null where it is the answer of nobody alone
   */
  private static Uid decoded(byte[] heard) {
    if (heard.length != SIZE || (heard[PREAMBLE] & 255) != 0xAA) {
      return null;
    }
    long bits = 0;
    int sum = 0;
    for (int i = 0; i < 6; i++) {
      int first = heard[PREAMBLE + 1 + 2 * i] & 255;
      int second = heard[PREAMBLE + 2 + 2 * i] & 255;
      bits = bits << 8 | first & second;
      sum += first + second;
    }
    int high = heard[PREAMBLE + 13] & heard[PREAMBLE + 14] & 255;
    int low = heard[PREAMBLE + 15] & heard[PREAMBLE + 16] & 255;
    return (high << 8 | low) == (sum & 0xFFFF) ? new Uid(bits) : null;
  }
}
