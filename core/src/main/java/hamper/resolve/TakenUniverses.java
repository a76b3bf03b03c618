package hamper.resolve;

import java.util.Map;
import java.util.TreeMap;

/** Universes that nobody may be assigned. */
public final class TakenUniverses {
  /** Start to end, included; overlapping ones are joined. */
  private final TreeMap<Integer, Integer> taken = new TreeMap<>();

  /** The smallest base + k × stride that is not below {@code least}. */
  public static int onStride(int base, int stride, int least) {
    return base + Math.floorDiv(least - base + stride - 1, stride) * stride;
  }

  public void take(int first, int last) {
    int start = first;
    int end = last;
    Map.Entry<Integer, Integer> before = taken.floorEntry(last + 1);
    while (before != null && before.getValue() >= start - 1) {
      start = Math.min(start, before.getKey());
      end = Math.max(end, before.getValue());
      taken.remove(before.getKey());
      before = taken.floorEntry(last + 1);
    }
    taken.put(start, end);
  }

  boolean has(int universe) {
    return lastIn(universe, universe) >= universe;
  }

  /** End of the last taken stretch that touches first..last; first − 1 where none does. */
  int lastIn(int first, int last) {
    Map.Entry<Integer, Integer> stretch = last < first ? null : taken.floorEntry(last);
    return stretch != null && stretch.getValue() >= first ? stretch.getValue() : first - 1;
  }

  /**
   * The first of so many free universes in a row.
   *
   * @param least from which one on
   * @param count from 1
   */
  public int free(int base, int stride, int least, int count) {
    int first = onStride(base, stride, least);
    int blocked = lastIn(first, first + count - 1);
    while (blocked >= first) {
      first = onStride(base, stride, blocked + 1);
      blocked = lastIn(first, first + count - 1);
    }
    return first;
  }
}
