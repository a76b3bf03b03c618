package hamper.send;

import java.util.Arrays;

/**
 * When light may rise: at most three times in a second, whoever raises it, since quicker flashes
 * are a danger to some who look at them. Source: docs/output.md.
 */
public final class Rises {
  private static final int A_SECOND = 3;
  private static final long SECOND = 1_000;

  private final long[] begun = new long[A_SECOND];
  private int next;

  public Rises() {
    Arrays.fill(begun, Long.MIN_VALUE / 2);
  }

  /**
   * When a rise begins that is wanted now (ms).
   *
   * @param now (ms)
   */
  synchronized long begin(long now) {
    long at = Math.max(now, begun[next] + SECOND);
    begun[next] = at;
    next = (next + 1) % A_SECOND;
    return at;
  }
}
