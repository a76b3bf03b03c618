package hamper.files;

import hamper.address.UniverseChannel;
import hamper.value.RefusedException;
import hamper.value.Require;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The cells of one row by what they mean; whatever cannot be read is refused with the planner's own
 * head of the column.
 *
 * @param columns the place of each meaning in the row
 * @param heads as the planner wrote them
 */
record PlanCells(
    SpreadsheetText.Row row, Map<PlanColumn, Integer> columns, Map<PlanColumn, String> heads) {
  private static final Pattern NUMBER =
      Pattern.compile("([+-]?[0-9][0-9., '\u00a0\u202f]*?)\\s*([a-zA-Zµ%°]{0,12})");
  private static final Pattern GROUPED =
      Pattern.compile("[+-]?\\d{1,3}([.,' \u00a0\u202f]\\d{3})+");

  /** Thousands grouped or not, and what comes behind the last sign. */
  private static final Pattern DECIMAL =
      Pattern.compile("([+-]?(?:\\d+|\\d{1,3}(?:[.,]\\d{3})+))(?:[.,](\\d+))?");

  private static final Pattern SLOT =
      Pattern.compile("(?i)u?\\s*(\\d{1,6})\\s*[:/]\\s*c?\\s*(\\d{1,4})");

  String text(PlanColumn column) {
    Integer place = columns.get(column);
    String cell = place == null || place >= row.cells().size() ? "" : row.cells().get(place);
    // a text that looks like a formula is written with an apostrophe before it
    return cell.length() > 1 && cell.charAt(0) == '\'' && "=+-@".indexOf(cell.charAt(1)) >= 0
        ? cell.substring(1)
        : cell;
  }

  String head(PlanColumn column) {
    return heads.getOrDefault(column, column.title());
  }

  RefusedException refused(PlanColumn column, String allowed) {
    return new RefusedException(head(column), Require.quoted(text(column)), allowed);
  }

  /**
   * A whole number, with a unit or without, thousands grouped or not, "50,0" and "50.0" too.
   *
   * @return empty where the cell is
   */
  Optional<Integer> whole(PlanColumn column, int least, int most) {
    String cell = text(column);
    if (cell.isEmpty()) {
      return Optional.empty();
    }
    double number = number(column, cell);
    if (number != Math.rint(number) || number < least || number > most) {
      throw refused(column, "a whole number from %,d to %,d stands here".formatted(least, most));
    }
    return Optional.of((int) number);
  }

  private double number(PlanColumn column, String cell) {
    Matcher matcher = NUMBER.matcher(cell);
    if (!matcher.matches()) {
      throw refused(column, "a number stands here");
    }
    String digits = matcher.group(1).strip();
    if (GROUPED.matcher(digits).matches()) {
      return Double.parseDouble(digits.replaceAll("[., '\u00a0\u202f]", ""));
    }
    Matcher decimal = DECIMAL.matcher(digits.replaceAll("[ '\u00a0\u202f]", ""));
    if (!decimal.matches()) {
      throw refused(column, "a number stands here");
    }
    String rest = decimal.group(2) == null ? "" : "." + decimal.group(2);
    return Double.parseDouble(decimal.group(1).replaceAll("[.,]", "") + rest);
  }

  /** A start as universe:channel in one cell, or in two. */
  Optional<UniverseChannel> slot() {
    String cell = text(PlanColumn.START);
    if (!cell.isEmpty()) {
      Matcher matcher = SLOT.matcher(cell);
      if (matcher.matches()) {
        return Optional.of(
            new UniverseChannel(
                Integer.parseInt(matcher.group(1)), Integer.parseInt(matcher.group(2))));
      }
      if (!cell.toLowerCase(java.util.Locale.ROOT).startsWith("byte")) {
        throw refused(PlanColumn.START, "write universe:channel such as 12:301, or byte 4096");
      }
      return Optional.empty();
    }
    Optional<Integer> universe = whole(PlanColumn.UNIVERSE, 0, 65_535);
    Optional<Integer> channel = whole(PlanColumn.CHANNEL, 1, 512);
    if (universe.isPresent() != channel.isPresent()) {
      PlanColumn missing = universe.isPresent() ? PlanColumn.CHANNEL : PlanColumn.UNIVERSE;
      throw new RefusedException(
          head(missing), "nothing", "a universe and its channel go together");
    }
    return universe.map(value -> new UniverseChannel(value, channel.orElseThrow()));
  }

  /** A start as the byte of a controller on DDP, from 0. */
  Optional<Integer> offset() {
    String cell = text(PlanColumn.START).toLowerCase(java.util.Locale.ROOT);
    if (!cell.startsWith("byte")) {
      return Optional.empty();
    }
    try {
      return Optional.of(Integer.parseInt(cell.substring(4).strip().replaceAll("[., ]", "")));
    } catch (NumberFormatException e) {
      throw refused(PlanColumn.START, "write universe:channel such as 12:301, or byte 4096");
    }
  }
}
