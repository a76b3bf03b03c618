package hamper.display;

import hamper.address.ColourOrder;
import hamper.value.Require;
import java.util.Optional;

/**
 * Consecutive pixels of one string with the same settings.
 *
 * @param pixels those that light, from 1
 * @param nullPixels built in before them: they pass the signal on and have no address
 * @param group neighbouring pixels that act as one address, from 1; the last group may be short
 * @param fold after how many pixels the string turns back on itself
 * @param backward whether the addresses run against the wire
 * @param colourOrder where it is not the pixel type's
 * @param brightness percent, where it is not the prop's, port's or controller's
 * @param hold its start address, where it is kept
 */
public record Section(
    int pixels,
    int nullPixels,
    int group,
    Optional<Integer> fold,
    boolean backward,
    Optional<ColourOrder> colourOrder,
    Optional<Integer> brightness,
    Optional<Hold> hold) {
  /** Most pixels in one section. */
  public static final int MOST_PIXELS = 100_000;

  public Section {
    Require.inRange("pixels", pixels, 1, MOST_PIXELS);
    Require.inRange("nullPixels", nullPixels, 0, 1000);
    Require.inRange("group", group, 1, MOST_PIXELS);
    Require.inRange("fold", fold, 1, MOST_PIXELS);
    Require.inRange("brightness", brightness, 0, 100);
  }

  /** Plain pixels: everything else as the pixel type and the controller have it. */
  public static Section of(int pixels) {
    return new Section(
        pixels,
        0,
        1,
        Optional.empty(),
        false,
        Optional.empty(),
        Optional.empty(),
        Optional.empty());
  }

  /** Addresses = ceil(pixels / group). */
  public int addresses() {
    return (pixels + group - 1) / group;
  }

  public Section withHold(Optional<Hold> newHold) {
    return new Section(pixels, nullPixels, group, fold, backward, colourOrder, brightness, newHold);
  }

  public Section withPixels(int newPixels) {
    return new Section(newPixels, nullPixels, group, fold, backward, colourOrder, brightness, hold);
  }

  public Section withNullPixels(int newNullPixels) {
    return new Section(pixels, newNullPixels, group, fold, backward, colourOrder, brightness, hold);
  }

  public Section withBackward(boolean newBackward) {
    return new Section(pixels, nullPixels, group, fold, newBackward, colourOrder, brightness, hold);
  }

  public Section withBrightness(Optional<Integer> newBrightness) {
    return new Section(pixels, nullPixels, group, fold, backward, colourOrder, newBrightness, hold);
  }

  public Section withColourOrder(Optional<ColourOrder> newOrder) {
    return new Section(pixels, nullPixels, group, fold, backward, newOrder, brightness, hold);
  }
}
