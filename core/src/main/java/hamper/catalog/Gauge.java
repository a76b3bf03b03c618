package hamper.catalog;

import hamper.value.RefusedException;
import hamper.value.Require;
import java.util.Map;
import java.util.NavigableMap;
import java.util.TreeMap;

/** A wire size: an AWG number or a cross section, as it is printed on the cable. */
public final class Gauge {
  /** Copper at 20 °C, by AWG number (mΩ/m). Source: the load rules. */
  private static final Map<Integer, Double> AWG =
      new TreeMap<>(
          Map.of(12, 5.211, 14, 8.286, 16, 13.17, 18, 20.95, 20, 33.31, 22, 52.96, 24, 84.22));

  /** Copper at 20 °C, of a square millimetre (mΩ·mm²/m). */
  private static final double COPPER = 17.241;

  /**
   * Most current for good, by AWG number (A): the fuse that is usually put before it, a rule of
   * thumb.
   */
  private static final NavigableMap<Integer, Double> MOST_AMPS =
      new TreeMap<>(Map.of(12, 30.0, 14, 20.0, 16, 15.0, 18, 10.0, 20, 7.5, 22, 5.0, 24, 3.0));

  private static final String AWG_MARK = "AWG ";
  private static final String AREA_MARK = " mm²";

  private final String text;
  private final double milliohmsPerMetre;
  private final double mostAmps;

  /**
   * @param text such as "AWG 18" or "0.75 mm²"
   */
  public Gauge(String text) {
    this.text = text;
    milliohmsPerMetre = resistance(text);
    mostAmps = mostAmps(COPPER / milliohmsPerMetre);
  }

  public static Gauge awg(int number) {
    return new Gauge(AWG_MARK + number);
  }

  public static Gauge squareMillimetres(double area) {
    return new Gauge(area + AREA_MARK);
  }

  /** As it was given. */
  public String text() {
    return text;
  }

  /** Of one conductor (mΩ/m). */
  public double milliohmsPerMetre() {
    return milliohmsPerMetre;
  }

  /** Of a loop, both conductors, of so many metres (Ω). */
  public double loopOhms(double metres) {
    return 2 * milliohmsPerMetre * metres / 1000;
  }

  /** The largest fuse that protects it (A), a rule of thumb; between table values in proportion. */
  public double mostAmps() {
    return mostAmps;
  }

  /**
   * @param area of the cross section (mm²)
   */
  private static double mostAmps(double area) {
    double lastArea = 0;
    double lastAmps = 0;
    for (int number : MOST_AMPS.descendingKeySet()) {
      double thisArea = COPPER / AWG.get(number);
      double amps = MOST_AMPS.get(number);
      if (area <= thisArea) {
        return lastAmps + (amps - lastAmps) * (area - lastArea) / (thisArea - lastArea);
      }
      lastArea = thisArea;
      lastAmps = amps;
    }
    return lastAmps * area / lastArea;
  }

  private static double resistance(String text) {
    try {
      if (text != null && text.endsWith(AREA_MARK)) {
        String area = text.substring(0, text.length() - AREA_MARK.length());
        return COPPER / Require.inRange("gauge", Double.parseDouble(area), 0.05, 100);
      } else if (text != null && text.startsWith(AWG_MARK)) {
        int number = Integer.parseInt(text.substring(AWG_MARK.length()));
        if (AWG.containsKey(number) && text.equals(AWG_MARK + number)) {
          return AWG.get(number);
        }
      }
    } catch (NumberFormatException e) {
      // told below
    }
    throw new RefusedException(
        "gauge",
        Require.quoted(text),
        "a gauge is one of AWG %s, or a cross section such as 0.75 mm²".formatted(AWG.keySet()));
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof Gauge gauge && gauge.text.equals(text);
  }

  @Override
  public int hashCode() {
    return text.hashCode();
  }

  @Override
  public String toString() {
    return text;
  }
}
