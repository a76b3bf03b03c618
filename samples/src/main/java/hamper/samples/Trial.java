package hamper.samples;

/** How large trials are: short among all tests, long where somebody asks for it. */
public final class Trial {
  private static final boolean LONG = Boolean.getBoolean("hamper.trial.long");

  private Trial() {}

  /** A number for the short form and one for the long form. */
  public static int size(int small, int large) {
    return LONG ? large : small;
  }

  public static boolean isLong() {
    return LONG;
  }

  /** The seed of what is random; another is given with {@code -Dhamper.trial.seed}. */
  public static long seed() {
    return Long.getLong("hamper.trial.seed", 1);
  }

  /** Says in the log what was seen, so that a report can be written from it. */
  public static void say(String format, Object... values) {
    System.out.println("[trial] " + format.formatted(values));
  }
}
