package hamper.send;

import hamper.display.PortRef;
import java.util.Arrays;

/**
 * What one port is planned to give out: a byte for each channel of each pixel as it is clocked,
 * each slot of what hangs on a line, each circuit.
 *
 * @param width bytes of one pixel; 1 where nothing is a pixel
 * @param places for each byte its place in the controller's frame; {@link #DARK} for those of a
 *     null pixel, {@link FrameLayout#NOT_SENT} where nothing is sent
 * @param component for each byte which channel of its pixel it carries, in natural order from 0
 * @param percent for each byte what the device is planned to take off itself
 * @param thresholds of circuits: on from there; empty elsewhere
 * @param ends for each placement of the run the byte after its last
 */
public record MeantPort(
    PortRef port,
    int width,
    int[] places,
    byte[] component,
    byte[] percent,
    int[] thresholds,
    int[] ends) {
  public static final int DARK = -1;

  /** On: what a circuit that is on is told as. */
  private static final int ON = 255;

  /**
   * What a byte shows.
   *
   * @param frame levels of the controller
   */
  public int shown(byte[] frame, int index) {
    int place = places[index];
    int level = place < 0 ? 0 : frame[place] & 255;
    if (thresholds.length > 0) {
      return level >= thresholds[index] ? ON : 0;
    }
    return scaled(level, percent[index]);
  }

  /** What all of it shows, as it is clocked. */
  public byte[] clocked(byte[] frame) {
    byte[] clocked = new byte[places.length];
    for (int i = 0; i < clocked.length; i++) {
      clocked[i] = (byte) shown(frame, i);
    }
    return clocked;
  }

  /**
   * What one placement gives out.
   *
   * @param placement its place in the run, from 0
   * @param partWidth bytes of one of its pixels
   */
  public MeantPort part(int placement, int partWidth) {
    int from = placement == 0 ? 0 : ends[placement - 1];
    int to = ends[placement];
    return new MeantPort(
        port,
        partWidth,
        Arrays.copyOfRange(places, from, to),
        Arrays.copyOfRange(component, from, to),
        Arrays.copyOfRange(percent, from, to),
        new int[0],
        new int[] {to - from});
  }

  /**
   * Bytes as they are clocked, as the eye sees them: pixel by pixel, colours in natural order. What
   * is longer than planned is left out.
   */
  public byte[] seen(byte[] clocked) {
    byte[] seen = new byte[places.length];
    for (int i = 0; i < Math.min(places.length, clocked.length); i++) {
      int at = i - i % width + component[i];
      seen[at < seen.length ? at : i] =
          clocked[i]; // pixels of two widths on one run cannot be told
    }
    return seen;
  }

  /** A level at a brightness. Source: docs/formats/configuration.md, "Brightness". */
  public static int scaled(int level, int percent) {
    return (level * percent + 50) / 100;
  }
}
