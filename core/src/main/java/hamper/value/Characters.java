package hamper.value;

/** Which characters may stand in names and texts that people read. */
final class Characters {
  private static final int JOINER = 0x200D;
  private static final int NON_JOINER = 0x200C;

  private Characters() {}

  /** Whether there is something to be seen, and nothing that breaks the line or hides. */
  static boolean areOnALine(String text) {
    return text.codePoints().allMatch(Characters::isPlain)
        && text.codePoints().anyMatch(Characters::isSeen);
  }

  /** Whether it is text, of several lines perhaps. */
  static boolean areText(String text) {
    return text.codePoints().allMatch(c -> c == '\n' || c == '\r' || c == '\t' || isPlain(c));
  }

  /** The text with a dot for each character that has no business in it. */
  static String visible(String text) {
    StringBuilder shown = new StringBuilder();
    text.codePoints().forEach(c -> shown.appendCodePoint(isPlain(c) ? c : '\u00B7'));
    return shown.toString();
  }

  /**
   * No control character, no line separator, half of no pair, and nothing that is invisible or
   * turns the direction of what follows; joiners are part of how some scripts and signs are
   * written.
   */
  private static boolean isPlain(int c) {
    return switch (Character.getType(c)) {
      case Character.CONTROL,
          Character.LINE_SEPARATOR,
          Character.PARAGRAPH_SEPARATOR,
          Character.SURROGATE ->
          false;
      case Character.FORMAT -> c == JOINER || c == NON_JOINER;
      default -> true;
    };
  }

  private static boolean isSeen(int c) {
    return !Character.isWhitespace(c)
        && !Character.isSpaceChar(c)
        && Character.getType(c) != Character.FORMAT;
  }
}
