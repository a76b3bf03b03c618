package hamper.check;

import hamper.value.Decimals;
import java.util.Optional;

/**
 * What was met, or what is allowed.
 *
 * @param text in words, such as "4.3 A"
 * @param number as it is told, where it is one
 * @param unit of the number, such as "A" or "pixels"
 * @param name whether the text is a name or value of the plan, so that another is another matter;
 *     mere words may be put otherwise without changing anything
 */
public record Measure(String text, Optional<Double> number, Optional<String> unit, boolean name) {

  /** Such as "1,024 pixels" without its comma: "1024 pixels". */
  public static Measure count(int number, String unit) {
    return new Measure(number + " " + unit, Optional.of((double) number), Optional.of(unit), false);
  }

  /** A numbered thing: "slot 513", "box 3". */
  public static Measure numbered(String what, int number) {
    return new Measure(what + " " + number, Optional.of((double) number), Optional.of(what), false);
  }

  /**
   * @param decimals that it is told with
   */
  public static Measure of(double number, int decimals, String unit) {
    return of(Decimals.of(number, decimals), unit);
  }

  private static Measure of(String told, String unit) {
    return new Measure(
        told + " " + unit, Optional.of(Double.parseDouble(told)), Optional.of(unit), false);
  }

  /** A rating or what is planned of it, as it was entered: "1.25 A". */
  public static Measure rated(double number, String unit) {
    return of(Decimals.rated(number), unit);
  }

  public static Measure amps(double number) {
    return of(number, 1, "A");
  }

  /** A number in other words than the usual ones, such as a rounded voltage. */
  public static Measure told(double number, String unit, String text) {
    return new Measure(text, Optional.of(number), Optional.of(unit), false);
  }

  /** A name or a value of the plan that is no number, such as an address. */
  public static Measure named(String text) {
    return new Measure(text, Optional.empty(), Optional.empty(), true);
  }

  /** Words alone. */
  public static Measure words(String text) {
    return new Measure(text, Optional.empty(), Optional.empty(), false);
  }

  /** What of it makes a finding another one. */
  String identity() {
    return number.map(value -> value + " " + unit.orElse("")).orElse(name ? text : "");
  }

  /** As a sentence has it. */
  @Override
  public String toString() {
    return text;
  }
}
