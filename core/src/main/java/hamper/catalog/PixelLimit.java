package hamper.catalog;

import hamper.value.Require;

/**
 * The most pixels, null pixels included, that a port drives.
 *
 * @param channels channels of one pixel, 1 to 6
 * @param pixels from 1
 */
public record PixelLimit(int channels, int pixels) {
  public PixelLimit {
    Require.inRange("channels", channels, 1, 6);
    Require.inRange("pixels", pixels, 1, 1_000_000);
  }
}
