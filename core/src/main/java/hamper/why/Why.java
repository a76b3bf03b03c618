package hamper.why;

import java.util.List;

/**
 * A number and the sum that it came out of. One whose terms do not make the number cannot be.
 *
 * @param of what the number is, such as "Start of Bow rail, section 1"
 * @param value what came out, in {@code unit}
 * @param unit such as "channel" or "A"
 * @param written the number as it stands everywhere else, such as "5:427"
 * @param fold how terms make the number
 * @param rule in one line
 * @param terms in the order in which one would count
 */
public record Why(
    String of,
    double value,
    String unit,
    String written,
    Fold fold,
    String rule,
    List<Term> terms) {

  /** How terms make a number. */
  public enum Fold {
    SUM,
    LEAST,
    GREATEST
  }

  /** As far as two ways of adding binary fractions may lie apart. */
  private static final double ROUNDING = 1e-7;

  public Why {
    terms = List.copyOf(terms);
    double folded = folded(fold, terms);
    if (!(Math.abs(folded - value) <= ROUNDING * Math.max(1, Math.abs(value)))) {
      throw new IllegalArgumentException(
          "%s is %s, but its terms make %s: %s".formatted(of, value, folded, terms));
    }
  }

  private static double folded(Fold fold, List<Term> terms) {
    var amounts = terms.stream().mapToDouble(Term::amount);
    return switch (fold) {
      case SUM -> amounts.sum();
      case LEAST -> amounts.min().orElseThrow();
      case GREATEST -> amounts.max().orElseThrow();
    };
  }
}
