package hamper.send;

/**
 * When frames are due: the n-th at start + n × period, however long the ones before it took. A
 * frame whose time has passed when the next is due is not sent: it is counted.
 */
public final class Pace {
  private static final double NANOS = 1e9;

  private final long start;
  private final double period;
  private long next;
  private long sent;
  private long unsent;
  private long worstNanos;

  /**
   * @param startNanos when frame 0 is due (ns)
   * @param framesPerSecond (1/s)
   */
  public Pace(long startNanos, double framesPerSecond) {
    start = startNanos;
    period = NANOS / framesPerSecond;
  }

  /** Goes on counting, at another rate from another moment on. */
  public Pace at(long startNanos, double framesPerSecond) {
    Pace pace = new Pace(startNanos, framesPerSecond);
    pace.sent = sent;
    pace.unsent = unsent;
    pace.worstNanos = worstNanos;
    return pace;
  }

  private long dueAt(long frame) {
    return start + Math.round(frame * period);
  }

  /** When the next frame is due (ns). */
  public long due() {
    return dueAt(next);
  }

  /**
   * Takes the frame that is due, leaving out those whose successor is due too.
   *
   * @param now at or after {@link #due} (ns)
   * @return how late it is (ns)
   */
  public long take(long now) {
    long due = Math.max(next, (long) Math.floor((now - start) / period));
    unsent += due - next;
    next = due + 1;
    sent++;
    long late = Math.max(0, now - dueAt(due));
    worstNanos = Math.max(worstNanos, late);
    return late;
  }

  public long sent() {
    return sent;
  }

  public long unsent() {
    return unsent;
  }

  /** The most that a frame was late (ns). */
  public long worstNanos() {
    return worstNanos;
  }
}
