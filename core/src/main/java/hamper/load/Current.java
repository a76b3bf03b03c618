package hamper.load;

import hamper.catalog.PixelType;

/**
 * Current of pixels, all white. Source: the load rules: idle + (full − idle) × brightness; null
 * pixels idle.
 */
public final class Current {
  private Current() {}

  /**
   * @param pixels those that light, from 0
   * @param nullPixels from 0
   * @param percent brightness, 0..100
   * @return amperes
   */
  public static double amps(PixelType type, int pixels, int nullPixels, int percent) {
    double each =
        type.idleMilliamps() + (type.fullMilliamps() - type.idleMilliamps()) * percent / 100;
    return (pixels * each + nullPixels * type.idleMilliamps()) / 1000;
  }
}
