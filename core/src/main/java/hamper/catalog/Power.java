package hamper.catalog;

import hamper.value.Require;

/**
 * One power input of a device.
 *
 * @param volts it is made for (V); the highest
 * @param amps most current through it (A)
 */
public record Power(double volts, double amps) {
  /** Most of any rating, of inputs, fuses, supplies and breakers, that is planned on. */
  public static final double PLANNED_SHARE = 0.8;

  public Power {
    Require.inRange("volts", volts, 1, 400);
    Require.inRange("amps", amps, 0.1, 1000);
  }
}
