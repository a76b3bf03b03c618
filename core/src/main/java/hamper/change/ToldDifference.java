package hamper.change;

import hamper.config.Configuration;
import hamper.sheet.SettingSheet;
import hamper.sheet.SheetCell;
import hamper.sheet.SheetRow;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a device is told otherwise than before, setting by setting in the order of its sheet. What
 * people call things is no difference.
 *
 * @param changes none exactly where the fingerprints of both documents are equal
 */
public record ToldDifference(List<Changed> changes) {
  /**
   * One setting. One that came has no value before, one that went none after.
   *
   * @param row title of the line that it stands in, such as "Port 5"
   * @param label of the setting
   */
  public record Changed(
      String key,
      String row,
      Optional<SheetRow.PortAt> port,
      String label,
      Optional<SheetCell> was,
      Optional<SheetCell> is) {
    /** How far a start has moved, in its unit; nothing where that cannot be counted. */
    Optional<Integer> shift() {
      if (was.isEmpty() || is.isEmpty()) {
        return Optional.empty();
      }
      Optional<SheetCell.Standing> from = was.get().standing();
      Optional<SheetCell.Standing> to = is.get().standing();
      return from.isPresent()
              && to.isPresent()
              && from.get().unit().equals(to.get().unit())
              && from.get().universe() == to.get().universe()
          ? Optional.of(to.get().at() - from.get().at())
          : Optional.empty();
    }
  }

  public ToldDifference {
    changes = List.copyOf(changes);
  }

  public static ToldDifference between(Configuration was, Configuration is) {
    return between(SettingSheet.of(was), SettingSheet.of(is));
  }

  public static ToldDifference between(SettingSheet was, SettingSheet is) {
    Map<String, SheetRow> rowsBefore = rows(was);
    Map<String, SheetCell> before = cells(was);
    Map<String, SheetCell> after = cells(is);
    List<Changed> changes = new ArrayList<>();
    is.rows()
        .forEach(
            row ->
                row.cells().stream()
                    .filter(cell -> !isTold(cell, before.get(cell.key())))
                    .forEach(cell -> changes.add(changed(row, cell.key(), before, after))));
    rowsBefore.forEach(
        (key, row) -> {
          if (!after.containsKey(key)) {
            changes.add(changed(row, key, before, after));
          }
        });
    return new ToldDifference(changes);
  }

  /** How far a start is from others is nothing that a device is told. */
  private static boolean isTold(SheetCell cell, SheetCell before) {
    return before != null
        && cell.value().equals(before.value())
        && cell.unit().equals(before.unit());
  }

  private static Changed changed(
      SheetRow row, String key, Map<String, SheetCell> before, Map<String, SheetCell> after) {
    Optional<SheetCell> was = Optional.ofNullable(before.get(key));
    Optional<SheetCell> is = Optional.ofNullable(after.get(key));
    return new Changed(
        key, row.title(), row.port(), is.or(() -> was).orElseThrow().label(), was, is);
  }

  private static Map<String, SheetCell> cells(SettingSheet sheet) {
    Map<String, SheetCell> cells = new LinkedHashMap<>();
    sheet.cells().forEach(cell -> cells.put(cell.key(), cell));
    return cells;
  }

  /** The row of each cell. */
  private static Map<String, SheetRow> rows(SettingSheet sheet) {
    Map<String, SheetRow> rows = new LinkedHashMap<>();
    sheet.rows().forEach(row -> row.cells().forEach(cell -> rows.put(cell.key(), row)));
    return rows;
  }

  /** Apart for each output, such as "PIXEL 5", and for the device with its inputs: "device". */
  public Map<String, ToldDifference> byPart() {
    Map<String, List<Changed>> parts = new LinkedHashMap<>();
    for (Changed change : changes) {
      String part =
          change.port().map(at -> "%s %d".formatted(at.kind(), at.port())).orElse("device");
      parts.computeIfAbsent(part, key -> new ArrayList<>()).add(change);
    }
    Map<String, ToldDifference> differences = new LinkedHashMap<>();
    parts.forEach((part, all) -> differences.put(part, new ToldDifference(all)));
    return differences;
  }

  public boolean isNone() {
    return changes.isEmpty();
  }

  /** Each difference as the crew hears it: "Port 5: 85 → 90 pixels". */
  public List<String> lines() {
    return ToldWords.of(changes);
  }
}
