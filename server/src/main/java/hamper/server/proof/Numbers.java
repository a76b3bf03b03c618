package hamper.server.proof;

import hamper.send.FrameLayout;
import java.util.HashMap;
import java.util.Map;

/**
 * A number for every slot of a display, the same for all who listen to a universe: what each
 * address shows of itself, bit by bit.
 */
final class Numbers {
  private static final int SLOTS = 512;

  private final Map<String, FrameLayout> layouts;
  private final Map<String, Integer> universes = new HashMap<>();
  private final Map<String, Integer> devices = new HashMap<>();
  private int next;

  Numbers(Map<String, FrameLayout> layouts) {
    this.layouts = layouts;
    layouts.forEach(this::count);
  }

  private void count(String controller, FrameLayout layout) {
    layout
        .universes()
        .forEach(
            one -> {
              if (universes.putIfAbsent(key(one), next) == null) {
                next += SLOTS;
              }
            });
    if (layout.universes().isEmpty()) {
      devices.put(controller, next);
      next += layout.length();
    }
  }

  private static String key(FrameLayout.Universe one) {
    return one.line().protocol() + " " + one.number();
  }

  /** How many bits tell all numbers apart. */
  int bits() {
    return 32 - Integer.numberOfLeadingZeros(Math.max(1, next - 1));
  }

  /** What a level is for a number. */
  interface Level {
    int of(int number);
  }

  /** Writes the levels of a controller's frame. */
  void fill(String controller, byte[] frame, Level level) {
    FrameLayout layout = layouts.get(controller);
    Integer base = devices.get(controller);
    if (base != null) {
      for (int i = 0; i < frame.length; i++) {
        frame[i] = (byte) level.of(base + i);
      }
      return;
    }
    for (FrameLayout.Universe one : layout.universes()) {
      int first = universes.get(key(one));
      for (int i = 0; i < one.size(); i++) {
        frame[one.base() + i] = (byte) level.of(first + i);
      }
    }
  }
}
