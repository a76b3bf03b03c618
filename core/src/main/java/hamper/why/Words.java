package hamper.why;

import java.util.List;
import java.util.Locale;

/** Numbers and lists as they stand in a sentence. */
final class Words {
  private static final int NAMED = 3;

  private Words() {}

  static String count(long number, String one) {
    return "%,d %s%s".formatted(number, one, number == 1 ? "" : "s");
  }

  static String decimal(double number, int decimals, String unit) {
    return String.format(Locale.ROOT, "%." + decimals + "f %s", number, unit);
  }

  /** Without a useless decimal. */
  static String number(double number) {
    return number == Math.rint(number) ? String.valueOf((long) number) : String.valueOf(number);
  }

  /** "a, b, c and 4 more". */
  static String named(List<String> names) {
    int more = names.size() - NAMED;
    return more > 0
        ? String.join(", ", names.subList(0, NAMED)) + " and " + more + " more"
        : String.join(", ", names);
  }
}
