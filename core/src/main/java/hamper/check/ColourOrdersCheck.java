package hamper.check;

import hamper.address.ColourOrder;
import hamper.display.Piece;
import hamper.display.PixelString;
import hamper.display.Prop;
import hamper.display.Section;
import hamper.facts.Facts;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;

/** Sections of one string that disagree on their colour order. */
final class ColourOrdersCheck extends Check {
  ColourOrdersCheck() {
    super(
        "colour-orders",
        Area.COLOURS,
        Severity.HINT,
        "Colour orders of one string differ",
        "Colour orders of the sections of each string with that of its first",
        "If it is a slip, part of the string shows red where green is meant.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    List<Finding> found = new ArrayList<>();
    for (Prop prop : facts.plan().display().props()) {
      for (Piece piece : prop.pieces()) {
        if (piece instanceof PixelString string && anySaysSo(string)) {
          check(facts, prop, string, found::add);
        }
      }
    }
    // whatever the order of props
    found.sort(Comparator.comparing(finding -> finding.subjects().get(0).piece().orElseThrow()));
    found.forEach(out);
  }

  /** Sections that say nothing have the order of their type, all the same one. */
  private static boolean anySaysSo(PixelString string) {
    for (int i = 0; i < string.sections().size(); i++) {
      if (string.sections().get(i).colourOrder().isPresent()) {
        return string.sections().size() > 1;
      }
    }
    return false;
  }

  private void check(Facts facts, Prop prop, PixelString string, Consumer<Finding> out) {
    ColourOrder usual = facts.plan().typeOf(string).colourOrder();
    Set<String> orders = new LinkedHashSet<>();
    for (Section section : string.sections()) {
      orders.add(section.colourOrder().orElse(usual).letters());
    }
    if (orders.size() > 1) {
      out.accept(told(facts, prop, string, List.copyOf(orders)));
    }
  }

  private Finding told(Facts facts, Prop prop, PixelString string, List<String> orders) {
    return finding(
        "%s has sections in %s".formatted(prop.titleOf(string), String.join(" and ", orders)),
        Measure.count(orders.size(), "colour orders"),
        Measure.count(1, "colour order"),
        List.of(Subject.of(facts.plan(), string.id())));
  }
}
