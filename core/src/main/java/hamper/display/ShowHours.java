package hamper.display;

import hamper.value.Require;

/**
 * When the show is on, each evening; it may go on past midnight.
 *
 * @param from such as "17:00"
 * @param to such as "22:30"
 */
public record ShowHours(String from, String to) {
  private static final String TIME = "([01][0-9]|2[0-3]):[0-5][0-9]";

  public ShowHours {
    time("from", from);
    time("to", to);
  }

  private static void time(String field, String text) {
    Require.that(
        text != null && text.matches(TIME),
        field,
        Require.quoted(text),
        "a time of the day in hours and minutes, such as 17:30");
  }

  /**
   * Whether the show is on.
   *
   * @param time of the day, such as "18:05"
   */
  public boolean hold(String time) {
    boolean after = time.compareTo(from) >= 0;
    boolean before = time.compareTo(to) < 0;
    return from.compareTo(to) <= 0 ? after && before : after || before;
  }

  @Override
  public String toString() {
    return from + "–" + to;
  }
}
