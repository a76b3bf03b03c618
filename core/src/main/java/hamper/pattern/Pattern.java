package hamper.pattern;

import hamper.display.Section;
import hamper.value.Require;

/**
 * A function from pixel and time to a colour.
 *
 * @param colour of those kinds that have one of their own
 * @param from the pixel that is lit, or the first of a part, from 1 along the wire
 * @param to the last of a part
 */
public record Pattern(PatternKind kind, Colour colour, int from, int to) {
  public static final Pattern WHITE = of(PatternKind.WHITE);

  /** More pixels than a string can have. */
  private static final int END = Section.MOST_PIXELS * 500;

  public Pattern {
    Require.inRange("from", from, 1, END);
    Require.inRange("to", to, from, END);
  }

  /** In white, from the first pixel to the last. */
  public static Pattern of(PatternKind kind) {
    return new Pattern(kind, Colour.WHITE, 1, END);
  }

  public static Pattern of(Colour colour) {
    return new Pattern(PatternKind.COLOUR, colour, 1, END);
  }

  /** One pixel of each piece. */
  public static Pattern count(int pixel) {
    return new Pattern(PatternKind.COUNT, Colour.WHITE, pixel, pixel);
  }

  /**
   * What an address is lit with.
   *
   * @param address of the strand, from 0
   * @param millis since it began (ms)
   */
  public Colour at(Strand strand, int address, long millis) {
    return kind.at(this, strand, address, millis);
  }

  /** Whether going over to it may be seen as a flash. */
  public boolean flashesAfter(Pattern before) {
    return !equals(before) && !(kind.small() && before.kind == kind);
  }
}
