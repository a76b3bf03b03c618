package hamper.change;

import hamper.config.SendLine;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** What a source has to be told otherwise than before, line by line. */
public final class SendDifference {
  private SendDifference() {}

  /**
   * @return such as "K1: universes 1–5 of 510 to 198.51.100.11 → universes 1–6 of 510 to
   *     198.51.100.11"; none where it is told the same
   */
  public static List<String> lines(List<SendLine> was, List<SendLine> is) {
    Map<String, List<String>> before = byController(was);
    Map<String, List<String>> after = byController(is);
    List<String> lines = new ArrayList<>();
    after.forEach(
        (tag, told) -> {
          List<String> then = before.get(tag);
          if (then == null) {
            lines.add("%s: newly sent to, %s".formatted(tag, String.join("; ", told)));
          } else if (!then.equals(told)) {
            lines.add(
                "%s: %s → %s".formatted(tag, String.join("; ", then), String.join("; ", told)));
          }
        });
    before.keySet().stream()
        .filter(tag -> !after.containsKey(tag))
        .forEach(tag -> lines.add("%s: not sent to any more".formatted(tag)));
    return lines;
  }

  private static Map<String, List<String>> byController(List<SendLine> lines) {
    Map<String, List<String>> byController = new LinkedHashMap<>();
    for (SendLine line : lines) {
      byController.computeIfAbsent(line.controller(), tag -> new ArrayList<>()).add(told(line));
    }
    return byController;
  }

  /** A line in words. */
  public static String told(SendLine line) {
    String what =
        line.firstUniverse()
            .map(
                first ->
                    line.universes() == 1
                        ? "universe %d of %d".formatted(first, line.size())
                        : "universes %d–%d of %d"
                            .formatted(first, first + line.universes() - 1, line.size()))
            .orElseGet(() -> "%d bytes".formatted(line.size()));
    StringBuilder told = new StringBuilder(what);
    told.append(" by %s to %s".formatted(line.protocol().title(), line.destination()));
    line.priority().ifPresent(priority -> told.append(", priority ").append(priority));
    line.synchronization().ifPresent(at -> told.append(", synchronized by ").append(at));
    if (line.fullUniverses()) {
      told.append(", all 512 slots");
    }
    return told.append(", from display channel ").append(line.displayStart()).toString();
  }
}
