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
    return rounded(value, decimals).toPlainString();
  }

  /** With so many decimals, thousands apart: "1,024.5". */
  public static String grouped(double value, int decimals) {
    return String.format(Locale.ROOT, "%,." + decimals + "f", rounded(value, decimals));
  }

  /** With one decimal, or with none where that is 0; thousands apart: "1,024", "4.3". */
  public static String brief(double value) {
    BigDecimal one = rounded(value, 1);
    return grouped(value, one.stripTrailingZeros().scale() > 0 ? 1 : 0);
  }

  /** As it was entered, without a useless decimal: "12", "9.5". */
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
