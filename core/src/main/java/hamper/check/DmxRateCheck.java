package hamper.check;

import hamper.catalog.FrameTime;
import hamper.catalog.PortKind;
import hamper.display.HungRun;
import hamper.display.SlotPiece;
import hamper.facts.Facts;
import hamper.resolve.Resolver;
import java.util.List;
import java.util.function.Consumer;

/** A DMX line that cannot be sent as often as the show has frames. */
final class DmxRateCheck implements Check {
  private static final Page PAGE =
      new Page(
          "dmx-rate",
          Area.PORTS,
          Severity.RISK,
          "A DMX line is slower than the show",
          "Time to send each line up to its last used slot, or all 512 where full universes are sent, max(1204, 188 + 44 × (1 + slots)) µs, with the show's frame",
          "What hangs on the line gets fewer steps than the rest; fast fades stutter there.");

  @Override
  public Page page() {
    return PAGE;
  }

  @Override
  public void run(Facts facts, Consumer<Finding> out) {
    double frame = 1_000_000.0 / facts.plan().display().settings().framesPerSecond();
    facts
        .plan()
        .runs()
        .filter(run -> run.run().kind() == PortKind.DMX && !run.legs().isEmpty())
        .forEach(run -> check(run, frame, out));
  }

  private void check(HungRun run, double frame, Consumer<Finding> out) {
    int slots = run.controller().sending().fullUniverses() ? Resolver.DMX_SLOTS : lastSlot(run);
    double micros = FrameTime.dmxMicros(slots);
    if (micros > frame) {
      Measure found = Measure.of(micros / 1000, 1, "ms");
      Measure allowed = Measure.of(frame / 1000, 1, "ms");
      out.accept(
          finding(
              "%s takes %s for %d slots, and a frame of the show is %s"
                  .formatted(run.written(), found, slots, allowed),
              found,
              allowed,
              List.of(Subject.port(run.port()))));
    }
  }

  private static int lastSlot(HungRun run) {
    return run.legs().stream()
        .map(leg -> leg.at().piece())
        .filter(SlotPiece.class::isInstance)
        .map(SlotPiece.class::cast)
        .mapToInt(piece -> Math.min(Resolver.DMX_SLOTS, piece.slot() + piece.channels() - 1))
        .max()
        .orElse(1);
  }
}
