package hamper.display;

/** How much more than its rating a mains breaker lets through for a moment. */
public enum Breaker {
  B(3),
  C(5),
  D(10);

  private final int times;

  Breaker(int times) {
    this.times = times;
  }

  /** Below this many times its rating it never trips at once. Source: IEC 60898-1. */
  public int times() {
    return times;
  }
}
