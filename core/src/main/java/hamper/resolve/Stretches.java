package hamper.resolve;

import java.util.Arrays;

/**
 * Stretches of channels of many parties on one line of places, to be gone through by start. Kept in
 * plain arrays: there are as many as sections, and more.
 */
final class Stretches {
  private int count;
  private int[] parties = new int[64];
  private int[] starts = new int[64];
  private int[] ends = new int[64];

  /**
   * @param party whose it is, from 0
   * @param start first place, from 0
   * @param end one past the last place
   */
  void add(int party, int start, int end) {
    if (count == parties.length) {
      parties = Arrays.copyOf(parties, 2 * count);
      starts = Arrays.copyOf(starts, 2 * count);
      ends = Arrays.copyOf(ends, 2 * count);
    }
    parties[count] = party;
    starts[count] = start;
    ends[count] = end;
    count++;
  }

  /** Their numbers, from 0, sorted by start; of those that start together the first added first. */
  int[] byStart() {
    long[] keys = new long[count];
    for (int i = 0; i < count; i++) {
      keys[i] = (long) starts[i] << Integer.SIZE | i;
    }
    Arrays.sort(keys);
    int[] sorted = new int[count];
    for (int i = 0; i < count; i++) {
      sorted[i] = (int) keys[i];
    }
    return sorted;
  }

  int party(int stretch) {
    return parties[stretch];
  }

  int start(int stretch) {
    return starts[stretch];
  }

  int end(int stretch) {
    return ends[stretch];
  }
}
