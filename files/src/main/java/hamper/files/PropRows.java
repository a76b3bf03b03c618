package hamper.files;

import hamper.display.Plan;
import hamper.display.Prop;
import hamper.display.Zone;
import hamper.edit.Edit;
import hamper.edit.PutProps;
import hamper.edit.PutZone;
import hamper.edit.Together;
import hamper.files.BadFileException.Reason;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Props as rows of a spreadsheet: every row read, every reason why one cannot be taken. Format:
 * docs/formats/props.md.
 *
 * @param entries in order, the header left out
 * @param reasons of the table as a whole, such as a header without names
 * @param props of all good rows
 * @param newZones that they name and the display does not have
 */
public record PropRows(
    List<Entry> entries, List<Reason> reasons, List<Prop> props, List<Zone> newZones) {
  /**
   * Most rows of one table: what is stored at once keeps everybody else of the display waiting, so
   * a table is bounded (docs/reliability.md has the times).
   */
  public static final int MOST_ROWS = 5_000;

  /**
   * One row.
   *
   * @param row as the spreadsheet shows it, from 1
   * @param prop its name as written
   * @param what as written
   * @param zone as written
   * @param props how many it makes; 0 where it only adds a piece to one, or is bad
   * @param pixels in all
   * @param reasons why it cannot be taken; empty where it can
   */
  public record Entry(
      int row,
      String prop,
      String what,
      String zone,
      int props,
      int pixels,
      List<Reason> reasons) {}

  /** Whether rows may come without a header. */
  public enum Header {
    /** A file: columns in any order. */
    NEEDED,
    /** Typed or pasted: without one, columns are in the usual order. */
    OPTIONAL
  }

  /**
   * @param bytes of at most {@link DisplayFile#MOST_BYTES}
   * @param usualType the pixel type of rows that name none
   * @return never refused: what is no table at all is one reason
   */
  public static PropRows read(byte[] bytes, Plan plan, String usualType, Header header) {
    try {
      return read(SpreadsheetText.read(bytes, MOST_ROWS + 1), plan, usualType, header);
    } catch (BadFileException e) {
      return new PropRows(List.of(), e.reasons(), List.of(), List.of());
    }
  }

  private static PropRows read(SpreadsheetText text, Plan plan, String usualType, Header header) {
    List<SpreadsheetText.Row> rows = text.rows();
    if (rows.isEmpty()) {
      return refused("row 1", "there are no rows; the columns are " + PropColumn.titles());
    }
    boolean named = rows.get(0).cells().stream().anyMatch(cell -> PropColumn.of(cell).isPresent());
    if (!named && header == Header.NEEDED) {
      return refused(
          "row " + rows.get(0).number(),
          "it names no column that is known; the columns are " + PropColumn.titles());
    }
    List<Reason> reasons = new ArrayList<>();
    Map<PropColumn, Integer> columns =
        named ? columns(rows.get(0), reasons) : usual(rows.get(0).cells().size());
    List<SpreadsheetText.Row> content = named ? rows.subList(1, rows.size()) : rows;
    if (content.isEmpty()) {
      reasons.add(new Reason("row 2", "there is a header and no row below it"));
    }
    int found = text.total() - (named ? 1 : 0);
    if (found > MOST_ROWS) {
      reasons.add(
          new Reason(
              "file",
              "%,d rows; allowed are %,d. Split it in several files".formatted(found, MOST_ROWS)));
    }
    if (!reasons.isEmpty()) {
      return new PropRows(List.of(), List.copyOf(reasons), List.of(), List.of());
    }
    return new PropRowReader(plan, usualType, columns).read(content);
  }

  private static PropRows refused(String place, String message) {
    return new PropRows(List.of(), List.of(new Reason(place, message)), List.of(), List.of());
  }

  private static Map<PropColumn, Integer> columns(
      SpreadsheetText.Row header, List<Reason> reasons) {
    String place = "row " + header.number();
    Map<PropColumn, Integer> columns = new EnumMap<>(PropColumn.class);
    for (int i = 0; i < header.cells().size(); i++) {
      String cell = header.cells().get(i);
      var column = PropColumn.of(cell);
      if (column.isEmpty() && !cell.isEmpty()) {
        reasons.add(
            new Reason(
                place,
                "the column \"%s\" is not known; leave it out, or use one of %s"
                    .formatted(cell, PropColumn.titles())));
      } else if (column.isPresent() && columns.putIfAbsent(column.get(), i) != null) {
        reasons.add(new Reason(place, "the column \"%s\" stands twice".formatted(cell)));
      }
    }
    for (PropColumn needed : List.of(PropColumn.PROP, PropColumn.WHAT)) {
      if (!columns.containsKey(needed)) {
        reasons.add(new Reason(place, "the column \"%s\" is missing".formatted(needed.title())));
      }
    }
    return columns;
  }

  private static Map<PropColumn, Integer> usual(int cells) {
    Map<PropColumn, Integer> columns = new EnumMap<>(PropColumn.class);
    for (int i = 0; i < PropColumn.USUAL.size(); i++) {
      columns.put(PropColumn.USUAL.get(i), i);
    }
    return columns;
  }

  /** How many rows cannot be taken. */
  public int bad() {
    return (int) entries.stream().filter(entry -> !entry.reasons().isEmpty()).count();
  }

  /** Everything that is wrong, the table's own reasons first. */
  public List<Reason> allReasons() {
    List<Reason> all = new ArrayList<>(reasons);
    entries.forEach(entry -> all.addAll(entry.reasons()));
    return all;
  }

  /**
   * One step that adds them all.
   *
   * @throws BadFileException with every reason, where any row is bad: all are taken, or none
   */
  public Edit edit() {
    List<Reason> wrong = allReasons();
    if (!wrong.isEmpty()) {
      throw new BadFileException(wrong);
    }
    List<Edit> edits = new ArrayList<>();
    newZones.forEach(zone -> edits.add(new PutZone(zone)));
    edits.add(new PutProps(props));
    String title =
        props.size() == 1 ? "Add " + props.get(0).name() : "Add %,d props".formatted(props.size());
    return edits.size() == 1 ? edits.get(0) : new Together(title, edits);
  }

  /** Ids that are taken, so that new ones are not. */
  static Set<String> idsOf(Plan plan) {
    Set<String> ids = new HashSet<>();
    plan.display()
        .props()
        .forEach(
            prop -> {
              ids.add(prop.id());
              prop.pieces().forEach(piece -> ids.add(piece.id()));
            });
    return ids;
  }
}
