package hamper.check;

import hamper.catalog.PortKind;
import hamper.display.Controller;
import hamper.display.Leg;
import hamper.display.PortRef;
import hamper.display.Run;
import hamper.display.SerialDimmer;
import hamper.facts.Facts;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;

/** Two packs on one serial line with one unit number, or a number that the line cannot call. */
final class UnitNumberCheck extends Check {
  UnitNumberCheck() {
    super(
        "unit-number",
        Area.SERIAL,
        Severity.FAULT,
        "Unit number wrong on a serial line",
        "Unit numbers on one line with each other and with the numbers that the line can call",
        "Two packs dim together, or one never answers.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    for (Controller controller : facts.plan().display().controllers()) {
      for (Run run : controller.runs()) {
        if (run.kind() == PortKind.SERIAL) {
          run(facts, new PortRef(controller.id(), run.kind(), run.port()), run, out);
        }
      }
    }
  }

  private void run(Facts facts, PortRef port, Run run, Consumer<Finding> out) {
    Map<Integer, SerialDimmer> byUnit = new HashMap<>();
    for (Leg leg : run.legs()) {
      if (facts.plan().existingPiece(leg.piece()).piece() instanceof SerialDimmer dimmer) {
        String title = facts.plan().existingPiece(dimmer.id()).title();
        SerialDimmer other = byUnit.putIfAbsent(dimmer.unit(), dimmer);
        if (other != null) {
          out.accept(
              told(
                  "%s and %s on %s are both unit %d"
                      .formatted(
                          facts.plan().existingPiece(other.id()).title(),
                          title,
                          facts.plan().written(port),
                          dimmer.unit()),
                  dimmer,
                  "a number for each",
                  port));
        }
        if (dimmer.unit() > SerialDimmer.HIGHEST_UNIT) {
          out.accept(
              told(
                  "%s on %s is unit %d".formatted(title, facts.plan().written(port), dimmer.unit()),
                  dimmer,
                  "units 1 to " + SerialDimmer.HIGHEST_UNIT,
                  port));
        }
      }
    }
  }

  private Finding told(String message, SerialDimmer dimmer, String allowed, PortRef port) {
    return finding(
        message,
        Measure.numbered("unit", dimmer.unit()),
        Measure.words(allowed),
        List.of(Subject.leg(port, dimmer.id())));
  }
}
