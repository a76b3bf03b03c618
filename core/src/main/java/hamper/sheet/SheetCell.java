package hamper.sheet;

import java.util.Optional;

/**
 * One value that somebody types into a device.
 *
 * @param key the same for the same setting of the device, such as {@code PIXEL 5/1/pixels}
 * @param label what the device calls it, in the trade's words
 * @param value as it is typed
 * @param unit that a number is counted in, such as "pixels"; empty where it is none
 * @param standing where it is a start: how it compares with others
 */
public record SheetCell(
    String key, String label, String value, String unit, Optional<Standing> standing) {
  /**
   * A place that can be counted from.
   *
   * @param at in the unit
   * @param unit "channels", "pixels" or "universes"
   * @param universe channels of one, where it takes part in the counting; 0 where not
   */
  public record Standing(int at, String unit, int universe) {}

  /** The key of the address that a device has. */
  public static final String ADDRESS = "address";

  static SheetCell words(String key, String label, String value) {
    return new SheetCell(key, label, value, "", Optional.empty());
  }

  static SheetCell number(String key, String label, int value, String unit) {
    return new SheetCell(key, label, Integer.toString(value), unit, Optional.empty());
  }
}
