package hamper.files;

import hamper.value.RefusedException;
import hamper.value.Require;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * The cells of a row by column; whatever is asked for wrongly is refused with its column.
 *
 * @param columns the place of each column that the table has
 */
record RowCells(SpreadsheetText.Row row, Map<PropColumn, Integer> columns) {
  private static final String STARTS_FORMULA = "=+-@";
  private static final Pattern NUMBER = Pattern.compile("[+-]?\\d{1,20}([.,]\\d{1,20})?");

  String raw(PropColumn column) {
    Integer place = columns.get(column);
    return place == null || place >= row.cells().size() ? "" : row.cells().get(place);
  }

  /** No text may be a formula: what a spreadsheet computed is not what it shows us. */
  String text(PropColumn column) {
    String cell = raw(column);
    Require.that(
        cell.isEmpty()
            || STARTS_FORMULA.indexOf(cell.charAt(0)) < 0
            || NUMBER.matcher(cell).matches(),
        column.title(),
        Require.quoted(cell),
        "it begins like a formula; paste its value");
    return cell;
  }

  int number(PropColumn column, int otherwise, int least, int most) {
    String cell = text(column);
    return cell.isEmpty()
        ? otherwise
        : Require.inRange(column.title(), whole(column, cell), least, most);
  }

  Optional<Integer> number(PropColumn column, int least, int most) {
    return text(column).isEmpty() ? Optional.empty() : Optional.of(number(column, 0, least, most));
  }

  private int whole(PropColumn column, String cell) {
    try {
      return Integer.parseInt(cell);
    } catch (NumberFormatException e) {
      throw new RefusedException(
          column.title(), Require.quoted(cell), "a whole number stands here");
    }
  }

  double metres(PropColumn column) {
    String cell = text(column);
    try {
      return cell.isEmpty() ? 0 : Double.parseDouble(cell.replace(',', '.'));
    } catch (NumberFormatException e) {
      throw new RefusedException(
          column.title(), Require.quoted(cell), "a length in metres stands here, such as 1.5");
    }
  }

  void nothingBeyond() {
    int most = columns.values().stream().mapToInt(i -> i + 1).max().orElse(0);
    List<String> beyond =
        row.cells().size() > most ? row.cells().subList(most, row.cells().size()) : List.of();
    Require.that(
        beyond.stream().allMatch(String::isEmpty),
        "cell " + (most + 1),
        Require.quoted(beyond.stream().filter(cell -> !cell.isEmpty()).findFirst().orElse("")),
        "there is no column for it");
  }
}
