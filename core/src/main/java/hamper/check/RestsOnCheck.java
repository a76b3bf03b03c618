package hamper.check;

import hamper.display.Circuit;
import hamper.display.Prop;
import hamper.facts.Facts;
import java.util.List;
import java.util.function.Consumer;

/** A circuit that rests switched on, and may not stay so. */
final class RestsOnCheck extends Check {
  RestsOnCheck() {
    super(
        "rests-on",
        Area.CIRCUITS,
        Severity.FAULT,
        "A circuit rests switched on longer than it may be on",
        "The safe state of each circuit with its longest time on",
        "It is on all night while nothing plays, and gets hot.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    for (Prop prop : facts.plan().props().all()) {
      prop.pieces().stream()
          .filter(Circuit.class::isInstance)
          .map(Circuit.class::cast)
          .filter(circuit -> circuit.safeOn() && circuit.longestOnSeconds().isPresent())
          .forEach(
              circuit -> {
                Measure most = Measure.rated(circuit.longestOnSeconds().get(), "s");
                out.accept(
                    finding(
                        "%s rests switched on, and may be on for %s at most"
                            .formatted(facts.plan().existingPiece(circuit.id()).title(), most),
                        Measure.words("rests on"),
                        most,
                        List.of(Subject.piece(circuit.id()))));
              });
    }
  }
}
