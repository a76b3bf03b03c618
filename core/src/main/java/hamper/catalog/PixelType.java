package hamper.catalog;

import hamper.address.ColourOrder;
import hamper.value.Identified;
import hamper.value.Require;
import java.util.Optional;

/**
 * A stock pixel: chip, supply, channels, currents and timing.
 *
 * @param chip the part number, as the trade speaks
 * @param colourOrder the order its makers usually build; its letters are the channels of a pixel
 * @param bits clocked for each pixel, from 8
 * @param bitRateKHz of the data line (kHz)
 * @param resetMicros idle time that ends a frame (µs)
 * @param headBits sent before the first pixel of a frame
 * @param tailBits sent after the last, for each pixel; may be a half
 * @param volts of the supply (V)
 * @param leastVolts below this colours go wrong (V); a rule of thumb
 * @param fullMilliamps of one pixel, all channels full (mA)
 * @param idleMilliamps of one pixel, dark (mA)
 * @param spanMetres how far the next pixel may be away (m); left out: {@link #USUAL_SPAN_METRES}
 */
public record PixelType(
    String id,
    String name,
    String chip,
    ColourOrder colourOrder,
    int bits,
    double bitRateKHz,
    double resetMicros,
    int headBits,
    double tailBits,
    double volts,
    double leastVolts,
    double fullMilliamps,
    double idleMilliamps,
    Optional<Double> spanMetres)
    implements Identified {
  /** From pixel to pixel, where the type says no better (m); a rule of thumb. */
  public static final double USUAL_SPAN_METRES = 3;

  /** Of a span that nobody told. */
  public PixelType(
      String id,
      String name,
      String chip,
      ColourOrder colourOrder,
      int bits,
      double bitRateKHz,
      double resetMicros,
      int headBits,
      double tailBits,
      double volts,
      double leastVolts,
      double fullMilliamps,
      double idleMilliamps) {
    this(
        id,
        name,
        chip,
        colourOrder,
        bits,
        bitRateKHz,
        resetMicros,
        headBits,
        tailBits,
        volts,
        leastVolts,
        fullMilliamps,
        idleMilliamps,
        Optional.empty());
  }

  public PixelType {
    Require.id("id", id);
    Require.name("name", name);
    Require.name("chip", chip);
    Require.inRange("bits", bits, 1, 256);
    Require.inRange("bitRateKHz", bitRateKHz, 1, 100_000);
    Require.inRange("resetMicros", resetMicros, 0, 100_000);
    Require.inRange("headBits", headBits, 0, 10_000);
    Require.inRange("tailBits", tailBits, 0, 64);
    Require.inRange("volts", volts, 1, 60);
    Require.inRange("leastVolts", leastVolts, 0, volts);
    Require.inRange("fullMilliamps", fullMilliamps, 0, 10_000);
    Require.inRange("idleMilliamps", idleMilliamps, 0, fullMilliamps);
    Require.decimalInRange("spanMetres", spanMetres, 0.01, 1000);
  }

  /** How far data goes from one of its pixels to the next (m). */
  public double spanOrUsual() {
    return spanMetres.orElse(USUAL_SPAN_METRES);
  }

  /** Channels of one pixel. */
  public int channels() {
    return colourOrder.channels();
  }

  /**
   * Current of its pixels, all white. Source: the load rules: idle + (full − idle) × brightness;
   * null pixels idle.
   *
   * @param pixels those that light, from 0
   * @param nullPixels from 0
   * @param percent brightness, 0..100
   * @return amperes
   */
  public double amps(int pixels, int nullPixels, int percent) {
    double each = idleMilliamps + (fullMilliamps - idleMilliamps) * percent / 100;
    return (pixels * each + nullPixels * idleMilliamps) / 1000;
  }
}
