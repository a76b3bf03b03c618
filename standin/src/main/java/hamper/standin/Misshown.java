package hamper.standin;

import java.util.Arrays;
import java.util.Random;
import java.util.Set;

/** What becomes of the light of a device whose wires or settings are not as they should be. */
final class Misshown {
  /** Pixels at the end of a string that blue does not reach, in percent. */
  private static final int STARVED_PERCENT = 20;

  private static final int BLUE = 2;

  /** What a fuse that has gone lets through, by way of the data wire. */
  private static final int GLOW = 8;

  private Misshown() {}

  /**
   * @param frozen what it showed when it died
   */
  static void spoil(Port port, byte[] shown, byte[] frozen, Set<Misbehaviour> on) {
    if (port.width() < 3) {
      return; // no string of coloured pixels
    }
    int pixels = shown.length / port.width();
    for (Misbehaviour one : on) {
      switch (one) {
        case COLOUR_ORDER -> turn(shown, port.width());
        case DEAD_PIXEL -> dark(shown, pixels / 2 * port.width());
        case DEAD_PIXEL_FROZEN -> {
          int from = pixels / 2 * port.width();
          System.arraycopy(frozen, from, shown, from, shown.length - from);
        }
        case DEAD_PIXEL_RANDOM -> noise(shown, pixels / 2 * port.width());
        case BLUE_FAILS -> {
          for (int p = pixels - pixels * STARVED_PERCENT / 100; p < pixels; p++) {
            shown[p * port.width() + BLUE] = 0;
          }
        }
        case FAINT_GLOW -> {
          for (int i = 0; i < shown.length; i++) {
            shown[i] = (byte) ((shown[i] & 255) / GLOW);
          }
        }
        default -> {
          // the others are in what it was told and answers
        }
      }
    }
  }

  private static void turn(byte[] shown, int width) {
    for (int p = 0; p + width <= shown.length; p += width) {
      byte first = shown[p];
      shown[p] = shown[p + width - 1];
      shown[p + width - 1] = first;
    }
  }

  /** Anything, and another thing each time; its sum tells one time from the next. */
  private static void noise(byte[] shown, int from) {
    Random random = new Random(Arrays.hashCode(shown));
    for (int i = from; i < shown.length; i++) {
      shown[i] = (byte) random.nextInt(256);
    }
  }

  private static void dark(byte[] shown, int from) {
    for (int i = from; i < shown.length; i++) {
      shown[i] = 0;
    }
  }
}
