package hamper.check;

import hamper.catalog.PixelType;
import hamper.display.HungLeg;
import hamper.display.HungRun;
import hamper.display.PieceAt;
import hamper.facts.Facts;
import hamper.value.Decimals;
import java.util.List;
import java.util.function.Consumer;

/** Pixel types on one port that do not understand the same signal. */
final class MixedTypesCheck extends Check {
  MixedTypesCheck() {
    super(
        "mixed-types",
        Area.PORTS,
        Severity.FAULT,
        "Pixels of different kinds on one port",
        "Chip protocol of all strings of a run: bits a pixel, bit rate and head bits with those of the first",
        "From the first pixel of the other kind on, colours flicker or nothing lights.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    facts.plan().pixelRuns().forEach(run -> check(run, out));
  }

  private void check(HungRun run, Consumer<Finding> out) {
    PixelType first = run.legs().get(0).at().pixels();
    for (HungLeg leg : run.legs()) {
      PieceAt at = leg.at();
      PixelType type = at.pixels();
      if (type != first && !understand(first, type)) {
        out.accept(
            finding(
                "%s on %s is %s, and the run begins with %s"
                    .formatted(at.title(), run.written(), told(type), told(first)),
                Measure.named(told(type)),
                Measure.named(told(first)),
                List.of(Subject.leg(run.port(), at.piece().id()))));
        return;
      }
    }
  }

  private static boolean understand(PixelType a, PixelType b) {
    return a.bits() == b.bits()
        && a.bitRateKHz() == b.bitRateKHz()
        && a.headBits() == b.headBits()
        && a.tailBits() == b.tailBits();
  }

  private static String told(PixelType type) {
    return "%s (%d bits at %s kHz)"
        .formatted(type.name(), type.bits(), Decimals.of(type.bitRateKHz(), 0));
  }
}
