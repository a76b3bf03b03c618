package hamper.load;

import hamper.value.Decimals;

/** A voltage as it is told: what the solver knows of it, and never more. */
public final class Volts {
  private Volts() {}

  /**
   * A solved voltage in whole hundredths, rounded down so that what is too little is not told as
   * enough. The solver takes it that pixels draw their current whatever they get; where that would
   * leave less than nothing they have long stopped, and it is dark there: 0.
   */
  public static double known(double solved) {
    return Math.max(0, Math.floor(solved * 100 + 1e-6) / 100);
  }

  /** Such as "4.29 V". */
  public static String told(double volts) {
    return Decimals.of(known(volts), 2) + " V";
  }

  /** Such as "4.29 V", or "dark" where nothing lights. */
  public static String shown(double volts) {
    return isDark(volts) ? "dark" : told(volts);
  }

  /** Such as "9.98 V" for the least that has to be there: rounded up. */
  public static String needed(double volts) {
    return Decimals.of(Math.ceil(volts * 100 - 1e-6) / 100, 2) + " V";
  }

  /** Whether nothing lights there. */
  public static boolean isDark(double volts) {
    return known(volts) == 0;
  }
}
