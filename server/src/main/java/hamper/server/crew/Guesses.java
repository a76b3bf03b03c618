package hamper.server.crew;

import java.time.InstantSource;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.stereotype.Component;

/**
 * Wrong keys by the address that they come from: a few are answered at once, then each waits, and
 * where too many wait already they are turned away. A right key never waits.
 */
@Component
final class Guesses {
  /** So many are answered at once. */
  static final int AT_ONCE = 10;

  /** One of them comes back after so long (ms). */
  static final long BACK_AFTER = 2_000;

  /** So long each waits where none is left (ms). */
  static final long WAIT = 1_000;

  /** So many wait at one time. */
  static final int MOST_WAITING = 20;

  private static final int MOST_ADDRESSES = 10_000;

  /** How a wrong key is answered. */
  enum Answer {
    AT_ONCE,
    LATER,
    TURNED_AWAY
  }

  private record Left(double left, long at) {}

  private final InstantSource clock;
  private final Map<String, Left> byAddress =
      new LinkedHashMap<>() {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Left> eldest) {
          return size() > MOST_ADDRESSES;
        }
      };
  private int waiting;

  Guesses() {
    this(InstantSource.system());
  }

  Guesses(InstantSource clock) {
    this.clock = clock;
  }

  synchronized Answer wrong(String address) {
    long now = clock.millis();
    Left before = byAddress.getOrDefault(address, new Left(AT_ONCE, now));
    double left = Math.min(AT_ONCE, before.left() + (double) (now - before.at()) / BACK_AFTER);
    boolean atOnce = left >= 1;
    byAddress.put(address, new Left(atOnce ? left - 1 : left, now));
    if (atOnce) {
      return Answer.AT_ONCE;
    } else if (waiting == MOST_WAITING) {
      return Answer.TURNED_AWAY;
    }
    waiting++;
    return Answer.LATER;
  }

  /** One that waited has been answered. */
  synchronized void answered() {
    waiting--;
  }
}
