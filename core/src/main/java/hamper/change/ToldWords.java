package hamper.change;

import hamper.change.ToldDifference.Changed;
import hamper.sheet.SheetCell;
import hamper.sheet.SheetRow;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Differences in words: what was and what is, by port; ports that follow each other and only start
 * elsewhere, all by as much, are one line.
 */
final class ToldWords {
  private static final String START = "/start";
  private static final String PIXELS = "pixels";
  private static final String USED = "/used";

  private ToldWords() {}

  static List<String> of(List<Changed> changes) {
    List<String> lines = new ArrayList<>();
    Map<String, List<Changed>> outputs = new LinkedHashMap<>();
    Map<String, List<Changed>> rest = new LinkedHashMap<>();
    for (Changed change : changes) {
      Optional<SheetRow.PortAt> port = change.port();
      if (port.isPresent()) {
        outputs
            .computeIfAbsent(
                "%s %d".formatted(port.get().kind(), port.get().port()), key -> new ArrayList<>())
            .add(change);
      } else {
        rest.computeIfAbsent(change.row(), row -> new ArrayList<>()).add(change);
      }
    }
    rest.forEach((row, all) -> lines.add("%s: %s".formatted(row, joined(all))));
    outputs(List.copyOf(outputs.values()), lines);
    return List.copyOf(lines);
  }

  private static void outputs(List<List<Changed>> outputs, List<String> lines) {
    for (int i = 0; i < outputs.size(); i++) {
      Optional<Shift> shift = onlyShifted(outputs.get(i));
      int last = i;
      while (shift.isPresent()
          && last + 1 < outputs.size()
          && follows(outputs.get(last), outputs.get(last + 1))
          && onlyShifted(outputs.get(last + 1)).equals(shift)) {
        last++;
      }
      if (shift.isPresent()) {
        lines.add(
            "%s start%s %s"
                .formatted(
                    stretch(outputs.get(i), outputs.get(last)),
                    last == i ? "s" : "",
                    shift.get().told()));
      } else {
        lines.add(output(outputs.get(i)));
      }
      i = last;
    }
  }

  private static boolean follows(List<Changed> before, List<Changed> after) {
    SheetRow.PortAt one = at(before);
    SheetRow.PortAt next = at(after);
    return one.kind() == next.kind() && one.port() + 1 == next.port();
  }

  private static SheetRow.PortAt at(List<Changed> output) {
    return output.get(0).port().orElseThrow();
  }

  private static String stretch(List<Changed> first, List<Changed> last) {
    String named = named(first);
    if (first == last) {
      return named;
    }
    String label = at(first).label();
    String stem = named.substring(0, named.length() - label.length()).stripTrailing();
    return "%ss %s–%s".formatted(stem, label, at(last).label());
  }

  /** The port as a whole: "Port 5". */
  private static String named(List<Changed> output) {
    return output.get(0).row().replaceAll(", section \\d+$", "");
  }

  /** How far starts of a port moved, all of them alike. */
  private record Shift(int by, String unit) {
    String told() {
      int many = Math.abs(by);
      return "%,d %s %s"
          .formatted(
              many,
              many == 1 ? unit.substring(0, unit.length() - 1) : unit,
              by > 0 ? "later" : "earlier");
    }
  }

  /** The one shift that all that changed of an output has in common. */
  private static Optional<Shift> onlyShifted(List<Changed> output) {
    Set<Optional<Shift>> shifts = new HashSet<>();
    output.forEach(change -> shifts.add(shift(change)));
    return shifts.size() == 1 ? shifts.iterator().next() : Optional.empty();
  }

  private static Optional<Shift> shift(Changed change) {
    return change
        .shift()
        .filter(by -> change.key().endsWith(START))
        .map(by -> new Shift(by, change.is().flatMap(SheetCell::standing).orElseThrow().unit()));
  }

  private static String output(List<Changed> output) {
    String title = named(output);
    Optional<Changed> used =
        output.stream().filter(change -> change.key().endsWith(USED)).findFirst();
    if (used.isPresent()) {
      boolean emptied = used.get().is().isPresent();
      Optional<SheetCell> pixels =
          output.stream()
              .filter(change -> change.key().endsWith("/" + PIXELS))
              .findFirst()
              .flatMap(change -> emptied ? change.was() : change.is());
      return "%s: %s%s"
          .formatted(
              title,
              emptied ? "to be emptied" : "newly used",
              pixels
                  .map(
                      cell ->
                          emptied
                              ? " (had %s)".formatted(counted(cell))
                              : ", %s%s".formatted(counted(cell), from(output)))
                  .orElse(""));
    }
    return "%s: %s".formatted(title, joined(withoutRepeats(output)));
  }

  private static String from(List<Changed> output) {
    return output.stream()
        .filter(change -> change.key().endsWith(START))
        .findFirst()
        .flatMap(Changed::is)
        .map(cell -> " from " + cell.value())
        .orElse("");
  }

  /** A port of one section says its pixels twice. */
  private static List<Changed> withoutRepeats(List<Changed> output) {
    List<Changed> told = new ArrayList<>();
    Set<String> numbers = new HashSet<>();
    for (Changed change : output) {
      boolean again = change.key().endsWith("/" + PIXELS) && !numbers.add(PIXELS + fromTo(change));
      if (!again) {
        told.add(change);
      }
    }
    return told;
  }

  private static String joined(List<Changed> changes) {
    List<String> parts = new ArrayList<>();
    for (Changed change : changes) {
      int section = change.port().map(SheetRow.PortAt::section).orElse(0);
      boolean several = section > 0 && change.row().contains(", section ");
      parts.add((several ? "section %d ".formatted(section) : "") + one(change));
    }
    return String.join(", ", parts);
  }

  private static String one(Changed change) {
    Optional<Shift> shift = shift(change);
    if (shift.isPresent()) {
      return "starts " + shift.get().told();
    }
    String unit = change.is().or(change::was).map(SheetCell::unit).orElse("");
    return unit.isEmpty()
        ? "%s %s".formatted(change.label(), fromTo(change))
        : "%s %s".formatted(fromTo(change), unit);
  }

  private static String fromTo(Changed change) {
    return "%s → %s"
        .formatted(
            change.was().map(SheetCell::value).orElse("none"),
            change.is().map(SheetCell::value).orElse("none"));
  }

  private static String counted(SheetCell cell) {
    return "%s %s".formatted(cell.value(), cell.unit());
  }
}
