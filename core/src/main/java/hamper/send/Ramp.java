package hamper.send;

/**
 * The level of one light over time. It rises within half a second, one supply after another, so
 * that no two supplies take their rush together; it falls at once. A flash that would come too soon
 * after others waits. Source: docs/output.md.
 */
public final class Ramp {
  private static final long RISE_MILLIS = 500;

  /** From one supply to the next. */
  private static final long NEXT_MILLIS = 250;

  /** All supplies have begun within so long. */
  private static final long ALL_MILLIS = 5_000;

  private final long step;
  private final Rises rises;
  private double from;
  private double target;
  private long begin;

  /**
   * @param supplies that rise one after another
   * @param rises of all light of a display
   */
  public Ramp(int supplies, Rises rises) {
    step = Math.min(NEXT_MILLIS, ALL_MILLIS / Math.max(1, supplies));
    this.rises = rises;
  }

  /** One that has its level already. */
  public static Ramp steady(double percent) {
    Ramp ramp = new Ramp(1, new Rises());
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
      begin = rises.begin(now);
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
