package hamper.load;

import hamper.catalog.FrameTime;
import hamper.catalog.PortKind;
import hamper.display.HungRun;
import hamper.display.SlotPiece;
import hamper.resolve.Resolver;
import java.util.Optional;

/**
 * What a DMX line carries. Source: the load rules, "DMX".
 *
 * @param lastSlot the last one in use, 1..512
 * @param slots that are sent: up to the last one in use, or all
 * @param micros that they take to send (µs)
 * @param frameShare of the show's frame; 1 is all of it
 */
public record DmxLine(int lastSlot, int slots, double micros, double frameShare) {
  /** Empty where nothing hangs on the line, or it is no DMX line. */
  public static Optional<DmxLine> of(HungRun run, double showFramesPerSecond) {
    if (run.run().kind() != PortKind.DMX || run.legs().isEmpty()) {
      return Optional.empty();
    }
    int last = lastSlot(run);
    int slots = run.controller().sending().fullUniverses() ? Resolver.DMX_SLOTS : last;
    double micros = FrameTime.dmxMicros(slots);
    return Optional.of(new DmxLine(last, slots, micros, micros * showFramesPerSecond / 1_000_000));
  }

  /** Most that it can be sent at (1/s). */
  public double framesPerSecond() {
    return 1_000_000 / micros;
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
