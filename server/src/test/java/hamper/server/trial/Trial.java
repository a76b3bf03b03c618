package hamper.server.trial;

/** How large trials are. */
final class Trial {
  private static final boolean LONG = Boolean.getBoolean("hamper.trial.long");

  private Trial() {}

  /** A number for the short form and one for the long form. */
  static int size(int small, int large) {
    return LONG ? large : small;
  }

  static boolean isLong() {
    return LONG;
  }

  /** The seed of what is random; another is given with {@code -Dhamper.trial.seed}. */
  static long seed() {
    return Long.getLong("hamper.trial.seed", 1);
  }

  /** Says in the log what was seen, so that a report can be written from it. */
  static void say(String format, Object... values) {
    System.out.println("[trial] " + format.formatted(values));
  }
}
