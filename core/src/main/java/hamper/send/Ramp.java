package hamper.send;

import java.util.Arrays;

/**
 * The level of one light over time. It rises within half a second, one supply after another, so
 * that no two supplies take their rush together; it falls at once. It rises at most three times in
 * a second: a flash that would come sooner waits. Source: docs/output.md.
 */
public final class Ramp {
  private static final long RISE_MILLIS = 500;

  /** From one supply to the next. */
  private static final long NEXT_MILLIS = 250;

  /** All supplies have begun within so long. */
  private static final long ALL_MILLIS = 5_000;

  private static final long SECOND = 1_000;
  private static final int RISES_A_SECOND = 3;

  private final long step;
  private final long[] rises = new long[RISES_A_SECOND];
  private int next;
  private double from;
  private double target;
  private long begin;

  /**
   * @param supplies that rise one after another
   */
  public Ramp(int supplies) {
    step = Math.min(NEXT_MILLIS, ALL_MILLIS / Math.max(1, supplies));
    Arrays.fill(rises, Long.MIN_VALUE / 2);
  }

  /** One that has its level already. */
  public static Ramp steady(double percent) {
    Ramp ramp = new Ramp(1);
    ramp.from = percent;
    ramp.target = percent;
    return ramp;
  }

  /**
   * Goes to another level.
   *
   * @param percent of full, 0..100
   * @param now (ms)
   */
  public void to(double percent, long now) {
    if (percent == target) {
      return;
    }
    double here = at(0, now);
    if (percent > here) {
      begin = Math.max(now, rises[next] + SECOND);
      rises[next] = begin;
      next = (next + 1) % RISES_A_SECOND;
      from = here;
    } else {
      from = percent;
    }
    target = percent;
  }

  /**
   * The level of one supply (percent).
   *
   * @param supply its place among all, from 0
   * @param now (ms)
   */
  public double at(int supply, long now) {
    double risen = (double) (now - begin - supply * step) / RISE_MILLIS;
    return from + (target - from) * Math.max(0, Math.min(1, risen));
  }

  /** Whether the last supply has its level (ms). */
  public boolean rests(int supplies, long now) {
    return from == target || now - begin >= supplies * step + RISE_MILLIS;
  }
}
