package hamper.server.store.tables;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/**
 * A table as rows of a display, or of parts of one.
 *
 * @param keys how many of the columns, the first ones, make the key
 * @param rows the values of each row, in the order of the columns
 */
record Table(String name, int keys, List<String> columns, Function<Parts, List<Object[]>> rows) {
  Table {
    columns = List.copyOf(columns);
  }

  /** The values of a row as the database takes them. */
  static Object[] row(Object... values) {
    for (int i = 0; i < values.length; i++) {
      if (values[i] instanceof Optional<?> optional) {
        values[i] = optional.orElse(null);
      }
      if (values[i] instanceof Enum<?> constant) {
        values[i] = constant.name();
      }
    }
    return values;
  }

  /** The key of a row, for comparing. */
  List<Object> keyOf(Object[] row) {
    return Arrays.asList(Arrays.copyOf(row, keys));
  }

  /** Rows as the database orders them, with the display's id in front. */
  Comparator<Object[]> byKey() {
    return (a, b) -> Arrays.compare(a, 1, 1 + keys, b, 1, 1 + keys, Table::compare);
  }

  @SuppressWarnings("unchecked") // a column holds values of one type
  private static int compare(Object a, Object b) {
    return ((Comparable<Object>) a).compareTo(b);
  }

  String insert() {
    String marks = ", ?".repeat(columns.size());
    return "insert into %s (display_id, %s) values (?%s)"
        .formatted(name, String.join(", ", columns), marks);
  }

  String update() {
    return "update %s set %s where display_id = ?%s".formatted(name, assignments(), whereKey());
  }

  String delete() {
    return "delete from %s where display_id = ?%s".formatted(name, whereKey());
  }

  /** Whether rows have anything besides their key. */
  boolean hasValues() {
    return columns.size() > keys;
  }

  private String assignments() {
    return String.join(", ", columns.stream().skip(keys).map(column -> column + " = ?").toList());
  }

  private String whereKey() {
    return String.join(
        "", columns.stream().limit(keys).map(column -> " and " + column + " = ?").toList());
  }
}
