package hamper.files;

import hamper.sheet.ShowList;
import hamper.sheet.ShowList.ShowRow;
import java.util.List;

/** The list for whoever makes the show: docs/formats/show-list.md. */
public final class ShowListFiles {
  private static final List<String> HEADER =
      List.of(
          "prop",
          "piece",
          "section",
          "zone",
          "first",
          "last",
          "display first",
          "display last",
          "channels",
          "addresses",
          "pixels",
          "pixels a group",
          "direction",
          "wall",
          "brightness %",
          "moved from",
          "version",
          "frames a second");

  private ShowListFiles() {}

  public static String csv(ShowList list) {
    return Csv.write(HEADER, rows(list));
  }

  public static byte[] xlsx(ShowList list) {
    return Xlsx.write("Show list", HEADER, rows(list));
  }

  /** Plain lines, to paste into a message. */
  public static String text(ShowList list) {
    StringBuilder text = new StringBuilder();
    text.append(
        "%s, version %d, %d frames a second\n"
            .formatted(list.display(), list.version(), list.framesPerSecond()));
    for (ShowRow row : list.rows()) {
      text.append(row.piece());
      if (row.section() > 1) {
        text.append(", section ").append(row.section());
      }
      text.append(
          ": %s to %s, %d addresses for %d pixels"
              .formatted(row.first(), row.last(), row.addresses(), row.pixels()));
      append(text, row.direction().equals("backward") ? row.direction() : "");
      append(text, row.wall());
      append(text, row.brightness() < 100 ? row.brightness() + " %" : "");
      append(text, row.moved().isEmpty() ? "" : "moved from " + row.moved());
      text.append('\n');
    }
    return text.toString();
  }

  private static void append(StringBuilder text, String part) {
    if (!part.isEmpty()) {
      text.append(", ").append(part);
    }
  }

  private static List<List<?>> rows(ShowList list) {
    return list.rows().stream()
        .<List<?>>map(
            row ->
                List.of(
                    row.prop(),
                    row.piece(),
                    row.section(),
                    row.zone(),
                    row.first(),
                    row.last(),
                    row.displayFirst(),
                    row.displayLast(),
                    row.channels(),
                    row.addresses(),
                    row.pixels(),
                    row.group(),
                    row.direction(),
                    row.wall(),
                    row.brightness(),
                    row.moved(),
                    list.version(),
                    list.framesPerSecond()))
        .toList();
  }
}
