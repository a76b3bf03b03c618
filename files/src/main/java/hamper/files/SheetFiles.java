package hamper.files;

import hamper.sheet.SettingSheet;
import hamper.sheet.SheetCell;
import hamper.sheet.SheetRow;
import java.util.Optional;
import java.util.stream.Collectors;

/** Setting sheets as plain text, to read beside a device. Format: docs/formats/bundle.md. */
public final class SheetFiles {
  private SheetFiles() {}

  /**
   * Page after page in the order of the device; a line for each row, its name behind it.
   *
   * @param version of the display
   */
  public static String text(SettingSheet sheet, int version) {
    StringBuilder text = new StringBuilder();
    text.append(
        "%s %s, %s, version %d\n"
            .formatted(sheet.tag(), sheet.name(), sheet.modelTitle(), version));
    for (int i = 0; i < sheet.pages().size(); i++) {
      SettingSheet.Page page = sheet.pages().get(i);
      text.append("\n%d %s\n".formatted(i + 1, page.title()));
      for (SheetRow row : page.rows()) {
        text.append("  ").append(line(row, sheet.mask())).append('\n');
      }
    }
    return text.toString();
  }

  private static String line(SheetRow row, Optional<String> mask) {
    String values =
        row.cells().stream()
            .map(cell -> "%s %s%s".formatted(cell.label(), cell.value(), behind(cell, mask)))
            .collect(Collectors.joining(", "));
    return row.name().isEmpty()
        ? "%s: %s".formatted(row.title(), values)
        : "%s: %s  (%s)".formatted(row.title(), values, row.name());
  }

  /** A device that asks for an address asks for its mask next. */
  private static String behind(SheetCell cell, Optional<String> mask) {
    return cell.key().equals(SheetCell.ADDRESS) ? mask.map(", mask "::concat).orElse("") : "";
  }
}
