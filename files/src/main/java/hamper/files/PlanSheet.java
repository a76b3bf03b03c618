package hamper.files;

import hamper.address.UniverseChannel;
import hamper.display.Plan;
import hamper.edit.Edit;
import hamper.files.BadFileException.Reason;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A planner's own spreadsheet held against the plan: what its columns mean, what each row would
 * change cell by cell, and where its addresses are others than follow from the plan. Format:
 * docs/formats/plan-sheet.md.
 *
 * @param columns in the order of the sheet
 * @param entries row by row, the head left out
 * @param reasons of the table as a whole; then there are no entries
 * @param starts where a start of the sheet is another than follows from the plan
 * @param edit all that good rows change, as one step; empty where nothing would
 */
public record PlanSheet(
    List<Column> columns,
    List<SheetEntry> entries,
    List<Reason> reasons,
    List<Differs> starts,
    Optional<Edit> edit) {
  /** Most rows of one sheet. */
  public static final int MOST_ROWS = PropRows.MOST_ROWS;

  public PlanSheet {
    columns = List.copyOf(columns);
    entries = List.copyOf(entries);
    reasons = List.copyOf(reasons);
    starts = List.copyOf(starts);
  }

  /**
   * @param head as the planner wrote it
   * @param means left out: nothing here
   * @param example the first cell below it that says something
   */
  public record Column(String head, Optional<PlanColumn> means, String example) {}

  /** What a row does. */
  public enum Does {
    /** It makes a prop. */
    ADDS,
    CHANGES,
    NOTHING,
    /** It cannot be taken; the others can. */
    BAD
  }

  /**
   * @param row as the spreadsheet shows it, from 1
   * @param changes cell by cell
   * @param reasons why it cannot be taken
   */
  public record SheetEntry(
      int row, String title, Does does, List<CellChange> changes, List<Reason> reasons) {}

  /** A cell that is not as the plan is. */
  public record CellChange(PlanColumn column, String from, String to) {}

  /**
   * A start of the sheet that is another than follows from the plan.
   *
   * @param sheet as universe:channel, byte or display channel
   * @param plan as follows once the sheet is taken
   * @param why it cannot be held; empty where it can
   */
  public record Differs(int row, String title, String sheet, String plan, String why) {}

  /** What becomes of starts that differ. */
  public enum Starts {
    /** They follow from the plan; those of the sheet are left out. */
    FLOW,
    /** They are held as the sheet says, where that can be. */
    HOLD
  }

  /**
   * @param bytes XLSX, or text as CSV, of at most {@link DisplayFile#MOST_BYTES}
   * @param means what each column means, in the order of the sheet; left out: by its head
   * @return never refused: what is no table is one reason
   */
  public static PlanSheet read(
      byte[] bytes,
      Plan plan,
      String usualType,
      Starts starts,
      Optional<List<Optional<PlanColumn>>> means) {
    try {
      SpreadsheetText text =
          XlsxRows.is(bytes)
              ? XlsxRows.read(bytes, MOST_ROWS + 1)
              : SpreadsheetText.read(bytes, MOST_ROWS + 1);
      return read(text, plan, usualType, starts, means);
    } catch (BadFileException e) {
      return refused(List.of(), e.reasons());
    }
  }

  private static PlanSheet read(
      SpreadsheetText text,
      Plan plan,
      String usualType,
      Starts starts,
      Optional<List<Optional<PlanColumn>>> means) {
    if (text.rows().size() < 2) {
      return refused(List.of(), List.of(new Reason("file", "there is no row below a head")));
    }
    List<Column> columns = columns(text.rows(), means);
    List<Reason> reasons = new ArrayList<>();
    if (text.total() - 1 > MOST_ROWS) {
      reasons.add(
          new Reason(
              "file",
              "%,d rows; allowed are %,d. Split it in several files"
                  .formatted(text.total() - 1, MOST_ROWS)));
    }
    Map<PlanColumn, Integer> places = new EnumMap<>(PlanColumn.class);
    Map<PlanColumn, String> heads = new EnumMap<>(PlanColumn.class);
    for (int i = 0; i < columns.size(); i++) {
      Column column = columns.get(i);
      int place = i;
      column
          .means()
          .ifPresent(
              meaning -> {
                if (places.putIfAbsent(meaning, place) != null) {
                  reasons.add(
                      new Reason(
                          "row " + text.rows().get(0).number(),
                          "\"%s\" and \"%s\" both mean %s; let one of them mean nothing"
                              .formatted(heads.get(meaning), column.head(), meaning.title())));
                }
                heads.putIfAbsent(meaning, column.head());
              });
    }
    if (!places.containsKey(PlanColumn.PROP)) {
      reasons.add(
          new Reason(
              "row " + text.rows().get(0).number(),
              "no column means the prop; say which one holds its name"));
    }
    return reasons.isEmpty()
        ? new PlanSheetReader(plan, usualType, starts, columns, places, heads)
            .read(text.rows().subList(1, text.rows().size()))
        : refused(columns, reasons);
  }

  private static List<Column> columns(
      List<SpreadsheetText.Row> rows, Optional<List<Optional<PlanColumn>>> means) {
    List<Column> columns = new ArrayList<>();
    List<String> heads = rows.get(0).cells();
    for (int i = 0; i < heads.size(); i++) {
      int place = i;
      Optional<PlanColumn> byHead = PlanColumn.of(heads.get(i));
      boolean taken =
          means.isEmpty()
              && columns.stream()
                  .anyMatch(other -> byHead.isPresent() && other.means().equals(byHead));
      Optional<PlanColumn> meaning =
          means
              .map(all -> place < all.size() ? all.get(place) : Optional.<PlanColumn>empty())
              .orElse(taken ? Optional.empty() : byHead);
      String example =
          rows.stream()
              .skip(1)
              .map(row -> place < row.cells().size() ? row.cells().get(place) : "")
              .filter(cell -> !cell.isEmpty())
              .findFirst()
              .orElse("");
      columns.add(new Column(heads.get(i), meaning, example));
    }
    return columns;
  }

  private static PlanSheet refused(List<Column> columns, List<Reason> reasons) {
    return new PlanSheet(columns, List.of(), reasons, List.of(), Optional.empty());
  }

  /** How many rows cannot be taken. */
  public int bad() {
    return (int) entries.stream().filter(entry -> entry.does() == Does.BAD).count();
  }

  static String written(Optional<UniverseChannel> slot, Optional<Integer> offset) {
    return slot.map(UniverseChannel::toString)
        .or(() -> offset.map(number -> "byte " + number))
        .orElse("");
  }
}
