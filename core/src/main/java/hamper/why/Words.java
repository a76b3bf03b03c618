package hamper.why;

import hamper.value.Decimals;
import java.util.List;

/** Numbers and lists as they stand in a sentence. */
final class Words {
  private static final int NAMED = 3;

  private Words() {}

  static String count(long number, String one) {
    return "%,d %s%s".formatted(number, one, number == 1 ? "" : "s");
  }

  static String decimal(double number, int decimals, String unit) {
    return Decimals.of(number, decimals) + " " + unit;
  }

  /** "a, b, c and 4 more". */
  static String named(List<String> names) {
    int more = names.size() - NAMED;
    return more > 0
        ? String.join(", ", names.subList(0, NAMED)) + " and " + more + " more"
        : String.join(", ", names);
  }
}
