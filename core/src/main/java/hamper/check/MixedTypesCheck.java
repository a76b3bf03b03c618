package hamper.check;

import hamper.catalog.PixelType;
import hamper.catalog.PortKind;
import hamper.display.Controller;
import hamper.display.PieceAt;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.Run;
import java.util.List;
import java.util.function.Consumer;

/** Pixel types on one port that do not understand the same signal. */
final class MixedTypesCheck implements Check {
  private static final Page PAGE =
      new Page(
          "mixed-types",
          Area.PORTS,
          Severity.FAULT,
          "Pixels of different kinds on one port",
          "Chip protocol of all strings of a run: bits a pixel, bit rate and head bits with those of the first",
          "From the first pixel of the other kind on, colours flicker or nothing lights.");

  @Override
  public Page page() {
    return PAGE;
  }

  @Override
  public void run(Facts facts, Consumer<Finding> out) {
    for (Controller controller : facts.plan().display().controllers()) {
      for (Run run : controller.runs()) {
        if (run.kind() == PortKind.PIXEL && run.legs().size() > 1) {
          check(facts.plan(), controller, run, out);
        }
      }
    }
  }

  private void check(Plan plan, Controller controller, Run run, Consumer<Finding> out) {
    List<PieceAt> hung = plan.piecesOf(run);
    PixelType first = hung.get(0).pixels();
    for (PieceAt at : hung) {
      PixelType type = at.pixels();
      if (type != first && !understand(first, type)) {
        PortRef port = new PortRef(controller.id(), run.kind(), run.port());
        out.accept(
            finding(
                "%s on %s is %s, and the run begins with %s"
                    .formatted(at.title(), plan.written(port), told(type), told(first)),
                told(type),
                told(first),
                List.of(Subject.leg(port, at.piece().id()))));
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
    return "%s (%d bits at %.0f kHz)".formatted(type.name(), type.bits(), type.bitRateKHz());
  }
}
