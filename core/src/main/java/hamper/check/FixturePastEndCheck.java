package hamper.check;

import hamper.catalog.PortKind;
import hamper.display.Controller;
import hamper.display.PieceAt;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.Run;
import hamper.display.SlotPiece;
import java.util.List;
import java.util.function.Consumer;

/** A fixture whose footprint reaches past the last slot of its universe. */
final class FixturePastEndCheck implements Check {
  private static final Page PAGE =
      new Page(
          "fixture-past-end",
          Area.ADDRESSES,
          Severity.FAULT,
          "Fixture reaches past slot 512",
          "The last slot of a fixture or decoder with slot 512",
          "Its last functions do not answer.");

  @Override
  public Page page() {
    return PAGE;
  }

  private static final int LAST_SLOT = 512;

  @Override
  public void run(Facts facts, Consumer<Finding> out) {
    Plan plan = facts.plan();
    for (Controller controller : plan.display().controllers()) {
      for (Run run : controller.runs()) {
        if (run.kind() == PortKind.DMX) {
          PortRef port = new PortRef(controller.id(), run.kind(), run.port());
          plan.piecesOf(run).forEach(at -> check(plan, port, at, out));
        }
      }
    }
  }

  private void check(Plan plan, PortRef port, PieceAt at, Consumer<Finding> out) {
    if (at.piece() instanceof SlotPiece fixture) {
      int last = fixture.slot() + fixture.channels() - 1;
      if (last > LAST_SLOT) {
        out.accept(
            finding(
                "%s on %s uses slots %d to %d"
                    .formatted(at.title(), plan.written(port), fixture.slot(), last),
                "slot " + last,
                "slot " + LAST_SLOT,
                List.of(Subject.leg(port, fixture.id()))));
      }
    }
  }
}
