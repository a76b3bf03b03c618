package hamper.check;

import hamper.catalog.PortKind;
import hamper.display.HungRun;
import hamper.display.PieceAt;
import hamper.display.SlotPiece;
import hamper.facts.Facts;
import java.util.List;
import java.util.function.Consumer;

/** A fixture whose footprint reaches past the last slot of its universe. */
final class FixturePastEndCheck extends Check {
  FixturePastEndCheck() {
    super(
        "fixture-past-end",
        Area.ADDRESSES,
        Severity.FAULT,
        "Fixture reaches past slot 512",
        "The last slot of a fixture or decoder with slot 512",
        "Its last functions do not answer.");
  }

  private static final int LAST_SLOT = 512;

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    facts
        .plan()
        .runs()
        .filter(run -> run.run().kind() == PortKind.DMX)
        .forEach(run -> run.legs().forEach(leg -> check(run, leg.at(), out)));
  }

  private void check(HungRun run, PieceAt at, Consumer<Finding> out) {
    if (at.piece() instanceof SlotPiece fixture) {
      int last = fixture.slot() + fixture.channels() - 1;
      if (last > LAST_SLOT) {
        out.accept(
            finding(
                "%s on %s uses slots %d to %d"
                    .formatted(at.title(), run.written(), fixture.slot(), last),
                Measure.numbered("slot", last),
                Measure.numbered("slot", LAST_SLOT),
                List.of(Subject.leg(run.port(), fixture.id()))));
      }
    }
  }
}
