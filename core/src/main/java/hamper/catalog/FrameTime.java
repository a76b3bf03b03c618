package hamper.catalog;

/**
 * How long a port takes to clock one frame out.
 *
 * <p>Source: the load rules, "Frame time": t = (head bits + n × bits + ceil(n × tail bits)) × 1000
 * / bit rate + reset.
 */
public final class FrameTime {
  private FrameTime() {}

  /**
   * @param places pixels and null pixels of the whole run, from 0
   * @return microseconds
   */
  public static double micros(PixelType type, int places) {
    double bits =
        type.headBits() + (double) places * type.bits() + Math.ceil(places * type.tailBits());
    return bits * 1000 / type.bitRateKHz() + type.resetMicros();
  }

  /** Frames a second (1/s) that so many places allow. */
  public static double framesPerSecond(PixelType type, int places) {
    return 1_000_000 / micros(type, places);
  }

  /**
   * The most places whose frame fits.
   *
   * @param framesPerSecond the show's rate (1/s), above 0
   * @return from 0
   */
  public static int mostPlaces(PixelType type, double framesPerSecond) {
    double frame = 1_000_000 / framesPerSecond;
    double perPlace = (type.bits() + type.tailBits()) * 1000 / type.bitRateKHz();
    int guess = (int) Math.max(0, (frame - type.resetMicros()) / perPlace + 2);
    while (guess > 0 && micros(type, guess) > frame * (1 + ROUNDING)) {
      guess--;
    }
    return guess;
  }

  /**
   * One frame of a DMX line: a break, a mark, a start code and the slots.
   *
   * @param slots 1..512
   * @return microseconds
   */
  public static double dmxMicros(int slots) {
    return Math.max(DMX_LEAST_MICROS, 176 + 12 + DMX_SLOT_MICROS * (1 + slots));
  }

  /** However few slots there are, two breaks lie this far apart (µs). */
  private static final double DMX_LEAST_MICROS = 1204;

  /** Eleven bits at 250 kbit/s (µs). */
  private static final double DMX_SLOT_MICROS = 44;

  /** A frame that fits exactly must fit: binary fractions of 1/fps are not exact. */
  private static final double ROUNDING = 1e-12;
}
