package hamper.check;

import hamper.catalog.PortKind;
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
    facts
        .resolution()
        .placements()
        .forEach(
            at -> {
              if (at.kind() == PortKind.DMX
                  && facts.plan().existingPiece(at.piece()).piece() instanceof SlotPiece fixture
                  && fixture.slot() + fixture.channels() - 1 > LAST_SLOT) {
                int last = fixture.slot() + fixture.channels() - 1;
                out.accept(
                    finding(
                        "%s on %s uses slots %d to %d"
                            .formatted(
                                facts.plan().existingPiece(fixture.id()).title(),
                                facts.plan().written(at.port()),
                                fixture.slot(),
                                last),
                        "slot " + last,
                        "slot " + LAST_SLOT,
                        List.of(Subject.leg(at.port(), fixture.id()))));
              }
            });
  }
}
