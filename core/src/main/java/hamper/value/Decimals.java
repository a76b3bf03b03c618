package hamper.value;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Locale;

/**
 * Numbers as they are told: rounded as the exact value is, half up. Browsers round so when they
 * show the same number ({@code toFixed}, ECMA-262), so that nobody reads two.
 */
public final class Decimals {
  private Decimals() {}

  /** With so many decimals: "4.3". */
  public static String of(double value, int decimals) {
    return Double.isFinite(value)
        ? rounded(value, decimals).toPlainString()
        : String.valueOf(value);
  }

  /** With so many decimals, thousands apart: "1,024.5". */
  public static String grouped(double value, int decimals) {
    return Double.isFinite(value)
        ? String.format(Locale.ROOT, "%,." + decimals + "f", rounded(value, decimals))
        : String.valueOf(value);
  }

  /** With one decimal, or with none where that is 0; thousands apart: "1,024", "4.3". */
  public static String brief(double value) {
    boolean whole = of(value, 1).endsWith(".0");
    return grouped(value, whole ? 0 : 1);
  }

  /**
   * A rating, a length or what else somebody entered, and what is planned of it: with at most three
   * decimals, and none that is useless: "12", "7.5", "1.25".
   */
  public static String rated(double value) {
    return Double.isFinite(value)
        ? rounded(value, 3).stripTrailingZeros().toPlainString()
        : String.valueOf(value);
  }

  /** As it was entered, without a useless decimal: "12", "9.5", "0.00004". */
  public static String plain(double value) {
    return new BigDecimal(Double.toString(value)).stripTrailingZeros().toPlainString();
  }

  /**
   * @param value that is finite
   */
  public static BigDecimal rounded(double value, int decimals) {
    return new BigDecimal(value).setScale(decimals, RoundingMode.HALF_UP);
  }
}
