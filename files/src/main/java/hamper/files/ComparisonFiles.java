package hamper.files;

import hamper.change.Comparison;
import hamper.change.Comparison.ComparedThing;
import hamper.change.MovedAddress;
import java.util.List;
import java.util.Locale;
import tools.jackson.databind.node.ObjectNode;

/** What differs between two states of a display, for people and for programs. */
public final class ComparisonFiles {
  private static final List<String> MOVED =
      List.of(
          "prop",
          "piece",
          "section",
          "port before",
          "port now",
          "universe before",
          "channel before",
          "universe now",
          "channel now",
          "controller channel before",
          "controller channel now",
          "display channel before",
          "display channel now",
          "channels before",
          "channels now");

  private ComparisonFiles() {}

  /** All of it as JSON. */
  public static String json(Comparison comparison) {
    ObjectNode root = Json.MAPPER.createObjectNode();
    root.put("format", "hamper-comparison");
    root.put("formatVersion", 1);
    root.setAll((ObjectNode) Json.MAPPER.valueToTree(comparison));
    root.remove("none");
    return Json.MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(root) + "\n";
  }

  /** All of it as lines; none where nothing differs. */
  public static String text(Comparison comparison) {
    StringBuilder text = new StringBuilder();
    things(text, "Props", comparison.props());
    things(text, "Controllers", comparison.controllers());
    if (!comparison.moved().isEmpty()) {
      text.append("Moved\n");
      comparison.moved().forEach(one -> text.append("  ").append(one.told()).append('\n'));
    }
    if (!comparison.told().isEmpty()) {
      text.append("Configurations\n");
      comparison
          .told()
          .forEach(
              one ->
                  one.lines()
                      .forEach(line -> text.append("  %s: %s%n".formatted(one.tag(), line))));
    }
    if (!comparison.rest().isEmpty()) {
      text.append("Also\n");
      comparison.rest().forEach(line -> text.append("  ").append(line).append('\n'));
    }
    return text.toString().replace("\r\n", "\n");
  }

  private static void things(StringBuilder text, String title, List<ComparedThing> things) {
    if (things.isEmpty()) {
      return;
    }
    text.append(title).append('\n');
    for (ComparedThing one : things) {
      text.append("  %s: %s".formatted(one.name(), one.became().name().toLowerCase(Locale.ROOT)));
      one.before().ifPresent(before -> text.append(" (was ").append(before).append(")"));
      if (!one.what().isEmpty()) {
        text.append(", ").append(String.join(", ", one.what()));
      }
      text.append('\n');
    }
  }

  /** What moved, as CSV: docs/formats/moved.md. */
  public static String movedCsv(List<MovedAddress> moved) {
    return Csv.write(MOVED, moved.stream().<List<?>>map(ComparisonFiles::row).toList());
  }

  private static List<?> row(MovedAddress one) {
    return List.of(
        one.is().name(),
        one.is().title(),
        one.is().section(),
        one.was().written(),
        one.is().written(),
        one.was().start().map(at -> at.universe()),
        one.was().start().map(at -> at.channel()),
        one.is().start().map(at -> at.universe()),
        one.is().start().map(at -> at.channel()),
        one.was().own(),
        one.is().own(),
        one.was().displayStart(),
        one.is().displayStart(),
        one.was().channels(),
        one.is().channels());
  }
}
