package hamper.server.api;

import hamper.arrange.Progress;
import hamper.value.RefusedException;
import hamper.value.Require;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import org.springframework.stereotype.Component;

/** Proposals that are being worked out: how far each is, and a way to stop it. */
@Component
class Arranging {
  /** At once: each takes a core for seconds where a display is large. */
  private static final int MOST = 4;

  /** How far one is. */
  record Step(Progress.Phase phase, int done, int of) {}

  private static final class Running implements Progress {
    private volatile Step step = new Step(Phase.HANGING, 0, 0);
    private volatile boolean stopped;

    @Override
    public boolean at(Phase phase, int done, int of) {
      step = new Step(phase, done, of);
      return !stopped;
    }
  }

  private final Map<String, Running> running = new ConcurrentHashMap<>();

  /**
   * Works something out that may be looked at and stopped by its name meanwhile.
   *
   * @param name that whoever asks gave it
   */
  <T> T under(String display, String name, Function<Progress, T> work) {
    Running one = new Running();
    String key = key(display, name);
    synchronized (running) {
      if (running.size() >= MOST) {
        throw new RefusedException(
            "running",
            String.valueOf(running.size()),
            "at most %d proposals are worked out at once; wait, or stop one".formatted(MOST));
      }
      Require.that(
          running.putIfAbsent(key, one) == null,
          "running",
          Require.quoted(name),
          "another proposal of this name is being worked out");
    }
    try {
      return work.apply(one);
    } finally {
      running.remove(key);
    }
  }

  Optional<Step> step(String display, String name) {
    return Optional.ofNullable(running.get(key(display, name))).map(one -> one.step);
  }

  /** Whether it was there to be stopped. */
  boolean stop(String display, String name) {
    Running one = running.get(key(display, name));
    if (one != null) {
      one.stopped = true;
    }
    return one != null;
  }

  private static String key(String display, String name) {
    return display + " " + name;
  }
}
