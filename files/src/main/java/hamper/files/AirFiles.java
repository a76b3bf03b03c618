package hamper.files;

import hamper.listen.AirFinding;
import hamper.listen.AirLine;
import hamper.listen.AirReport;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import tools.jackson.databind.node.ObjectNode;

/** What was heard beside a plan, as text and as JSON. docs/formats/listening.md. */
public final class AirFiles {
  private AirFiles() {}

  /** Findings one a line, then what was heard in a table. */
  public static String text(AirReport report) {
    StringBuilder text = new StringBuilder();
    for (AirFinding one : report.findings()) {
      text.append("▲ ").append(one.kind().title()).append(": ").append(one.text()).append('\n');
    }
    Map<AirLine.State, Long> counts =
        report.lines().stream()
            .collect(Collectors.groupingBy(AirLine::state, TreeMap::new, Collectors.counting()));
    String told =
        counts.entrySet().stream()
            .map(one -> "%d %s".formatted(one.getValue(), one.getKey().title()))
            .collect(Collectors.joining(", "));
    return text.append(
            String.format(
                Locale.ROOT,
                "%d planned: %s; %d not planned; %d findings%n",
                report.lines().size(),
                told.isEmpty() ? "nothing" : told,
                report.others().size(),
                report.findings().size()))
        .toString();
  }

  /**
   * @param notes what could not be heard, or read, and why
   */
  public static String json(AirReport report, List<String> notes) {
    ObjectNode root = Json.MAPPER.createObjectNode();
    root.put("format", "hamper-listening").put("formatVersion", 1);
    root.put("agrees", report.agrees());
    root.set("findings", Json.MAPPER.valueToTree(report.findings()));
    root.set("lines", Json.MAPPER.valueToTree(report.lines()));
    root.set("others", Json.MAPPER.valueToTree(report.others()));
    root.set("notes", Json.MAPPER.valueToTree(notes));
    return Json.MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(root) + "\n";
  }
}
