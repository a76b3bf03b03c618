package hamper.check;

import hamper.display.LegAt;
import hamper.display.PixelString;
import hamper.display.PortRef;
import hamper.display.Prop;
import hamper.facts.Facts;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.IntStream;

/** A big prop over ports that do not follow each other. */
final class ScatteredPropCheck extends Check {
  ScatteredPropCheck() {
    super(
        "scattered-prop",
        Area.COMPLETENESS,
        Severity.HINT,
        "A prop over ports that do not follow each other",
        "Ports of the strings of a prop that has two or more, where each hangs on a port of its own on one controller, with a row without gaps in string order",
        "Nothing; but whoever plugs it in will take the wrong socket.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    for (Prop prop : facts.plan().display().props()) {
      if (prop.pieces().size() == 1) {
        continue;
      }
      List<PortRef> ports =
          prop.pieces().stream()
              .filter(PixelString.class::isInstance)
              .flatMap(piece -> facts.plan().leg(piece.id()).stream())
              .map(LegAt::port)
              .toList();
      if (scattered(ports)) {
        List<String> written = ports.stream().map(facts.plan()::written).toList();
        out.accept(
            finding(
                "%s hangs on %s".formatted(prop.name(), String.join(", ", written)),
                Measure.named(String.join(", ", written)),
                Measure.words("ports one after another"),
                List.of(Subject.leg(ports.get(0), prop.pieces().get(0).id()))));
      }
    }
  }

  private static boolean scattered(List<PortRef> ports) {
    boolean each = ports.size() > 1 && ports.stream().distinct().count() == ports.size();
    boolean one = ports.stream().map(PortRef::controller).distinct().count() == 1;
    return each
        && one
        && IntStream.range(1, ports.size())
            .anyMatch(i -> ports.get(i).port() != ports.get(i - 1).port() + 1);
  }
}
