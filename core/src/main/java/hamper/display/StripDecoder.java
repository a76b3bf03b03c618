package hamper.display;

import hamper.value.Require;

/**
 * A small device on a DMX line that drives RGBW strip: four slots a pixel.
 *
 * @param slot its start slot, 1..512
 * @param pixels addressed groups of LEDs, 1..128
 * @param ledsPerPixel how many LEDs act as one pixel
 */
public record StripDecoder(String id, String name, int slot, int pixels, int ledsPerPixel)
    implements SlotPiece {
  /** Red, green, blue and white. */
  public static final int CHANNELS_PER_PIXEL = 4;

  public StripDecoder {
    Require.id("id", id);
    Require.name("name", name);
    Require.inRange("slot", slot, 1, 512);
    Require.inRange("pixels", pixels, 1, 128);
    Require.inRange("ledsPerPixel", ledsPerPixel, 1, 1000);
  }

  @Override
  public int channels() {
    return pixels * CHANNELS_PER_PIXEL;
  }
}
