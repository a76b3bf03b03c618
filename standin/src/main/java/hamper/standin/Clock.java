package hamper.standin;

/**
 * Milliseconds that only go forward; passed in, so that losses of seconds are tested without
 * waiting.
 */
@FunctionalInterface
public interface Clock {
  long millis();

  static Clock system() {
    return () -> System.nanoTime() / 1_000_000;
  }
}
