package hamper.paper;

import hamper.value.Decimals;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What a sheet is made of, from the top down. */
public sealed interface Block
    permits Block.Facts, Block.Words, Block.Table, CrewSheet.PortsOf, WallSheet {
  /** Labels with their values. */
  record Facts(List<CrewSheet.Labelled> facts) implements Block {
    public Facts {
      facts = List.copyOf(facts);
    }
  }

  /**
   * Sentences.
   *
   * @param title may be empty
   */
  record Words(String title, List<String> lines) implements Block {
    public Words {
      lines = List.copyOf(lines);
    }
  }

  /**
   * Rows of cells.
   *
   * @param rows each with as many cells as there are columns
   * @param none what is said where there are no rows
   */
  record Table(String title, List<Column> columns, List<List<Cell>> rows, String none)
      implements Block {
    public Table {
      columns = List.copyOf(columns);
      rows = rows.stream().map(List::copyOf).toList();
      for (List<Cell> row : rows) {
        if (row.size() != columns.size()) {
          throw new IllegalArgumentException(
              "%s: %d cells in %d columns".formatted(title, row.size(), columns.size()));
        }
      }
    }
  }

  /**
   * A column of a table.
   *
   * @param unit of its numbers; may be empty
   */
  record Column(String title, String unit) {
    static Column of(String title) {
      return new Column(title, "");
    }

    /** As it stands over the column. */
    public String head() {
      return unit.isEmpty() ? title : "%s (%s)".formatted(title, unit);
    }
  }

  /**
   * A cell.
   *
   * @param text as it is read
   * @param number where it is one
   */
  record Cell(String text, Optional<Double> number) {
    static Cell of(String text) {
      return new Cell(text, Optional.empty());
    }

    static Cell of(long number) {
      return new Cell(grouped(number), Optional.of((double) number));
    }

    /** What somebody entered, such as a rating: as it is. */
    static Cell entered(double number) {
      return new Cell(Decimals.rated(number), Optional.of(number));
    }

    /** What was worked out, with at most one decimal. */
    static Cell of(double number) {
      return new Cell(
          Decimals.brief(number), Optional.of(Decimals.rounded(number, 1).doubleValue()));
    }

    static Cell ofWhole(Optional<Integer> number) {
      return number.map(Cell::of).orElse(of(""));
    }

    private static Cell of(Integer number) {
      return of(number.longValue());
    }
  }

  /** A whole number as people read it. */
  static String grouped(long number) {
    return String.format(Locale.ROOT, "%,d", number);
  }
}
