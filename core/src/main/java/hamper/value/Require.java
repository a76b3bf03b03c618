package hamper.value;

import java.util.Optional;

/** Preconditions of values: each says the field, the value and what is allowed. */
public final class Require {
  /** Longest name of anything, in characters. */
  public static final int LONGEST_NAME = 80;

  /** Longest identity, in characters. */
  public static final int LONGEST_ID = 64;

  private Require() {}

  /**
   * @return the value, if it lies in {@code least..most}, both included
   */
  public static int inRange(String field, int value, int least, int most) {
    if (value < least || value > most) {
      throw new RefusedException(
          field, String.valueOf(value), "allowed is %d to %d".formatted(least, most));
    }
    return value;
  }

  /**
   * @return the value, if it lies in {@code least..most}, both included; NaN is refused
   */
  public static double inRange(String field, double value, double least, double most) {
    if (!(value >= least && value <= most)) {
      throw new RefusedException(
          field, String.valueOf(value), "allowed is %s to %s".formatted(least, most));
    }
    return value;
  }

  /** Checks a value that may be left out. */
  public static void inRange(String field, Optional<Integer> value, int least, int most) {
    value.ifPresent(present -> inRange(field, present, least, most));
  }

  /** Checks a number with decimals that may be left out. */
  public static void decimalInRange(
      String field, Optional<Double> value, double least, double most) {
    value.ifPresent(present -> inRange(field, present, least, most));
  }

  /** A name that a person reads: 1 to 80 characters on one line, all of which can be seen. */
  public static String name(String field, String value) {
    if (value == null || value.length() > LONGEST_NAME || !Characters.areOnALine(value)) {
      throw new RefusedException(
          field,
          quoted(value),
          "a name has 1 to %d characters, on one line".formatted(LONGEST_NAME));
    }
    return value;
  }

  /** An identity: 1 to 64 letters, digits, dots, dashes or underscores. */
  public static String id(String field, String value) {
    if (value == null || value.isEmpty() || value.length() > LONGEST_ID || !isId(value)) {
      throw new RefusedException(
          field,
          quoted(value),
          "an id has 1 to %d letters, digits, dots, dashes or underscores".formatted(LONGEST_ID));
    }
    return value;
  }

  /** A note of at most {@code most} characters; may be empty. */
  public static String text(String field, String value, int most) {
    if (value == null || value.length() > most) {
      throw new RefusedException(
          field, quoted(value), "a text has at most %d characters".formatted(most));
    }
    if (!Characters.areText(value)) {
      throw new RefusedException(
          field, quoted(value), "a text has no control or direction characters");
    }
    return value;
  }

  /**
   * @throws RefusedException with the place, if the condition does not hold
   */
  public static void that(boolean holds, String place, Object found, String allowed) {
    if (!holds) {
      throw new RefusedException(place, String.valueOf(found), allowed);
    }
  }

  /** The value in quotation marks, cut where it is very long; what cannot be seen is a dot. */
  public static String quoted(String value) {
    if (value == null) {
      return "nothing";
    }
    String shown = value.length() > 60 ? value.substring(0, 57) + "..." : value;
    return '"' + Characters.visible(shown) + '"';
  }

  private static boolean isId(String value) {
    for (int i = 0; i < value.length(); i++) {
      char c = value.charAt(i);
      boolean plain = c >= 'a' && c <= 'z' || c >= 'A' && c <= 'Z' || c >= '0' && c <= '9';
      if (!plain && c != '.' && c != '-' && c != '_') {
        return false;
      }
    }
    return true;
  }
}
