package hamper.value;

/** Words that somebody outside said, such as a device, made fit to be kept and shown. */
public final class Foreign {
  private Foreign() {}

  /**
   * On one line, with a dot for what cannot be seen, and no longer than is kept.
   *
   * @param most characters
   */
  public static String line(String said, int most) {
    String seen = Characters.visible(said).strip();
    if (seen.length() <= most) {
      return seen;
    }
    // not between the halves of a pair
    int end = Character.isHighSurrogate(seen.charAt(most - 1)) ? most - 1 : most;
    return seen.substring(0, end);
  }
}
