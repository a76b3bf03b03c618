package hamper.check;

import hamper.catalog.PortKind;
import hamper.display.Cable;
import hamper.display.Controller;
import hamper.display.Leg;
import hamper.display.PieceAt;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.Run;
import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;

/** A long way for the data without anything that freshens it up. */
final class DataReachCheck implements Check {
  private static final Page PAGE =
      new Page(
          "data-reach",
          Area.DATA,
          Severity.RISK,
          "Data has far to go",
          "Cable from socket to first pixel, and of every gap without null pixels, with 5 m (risk) and 15 m (fault), rules of thumb; a remote box or null pixels bridge it. A length estimated from zones is a hint at most",
          "Colours flicker or jump from there on, more when it is wet.");

  @Override
  public Page page() {
    return PAGE;
  }

  private static final double RISK_METRES = 5;
  private static final double FAULT_METRES = 15;

  @Override
  public void run(Facts facts, Consumer<Finding> out) {
    for (Controller controller : facts.plan().display().controllers()) {
      // a remote box stands where the run begins
      boolean boxes = facts.plan().hasBoxes(controller, PortKind.PIXEL);
      for (Run run : controller.runs()) {
        if (run.kind() == PortKind.PIXEL && !boxes) {
          List<PieceAt> hung = facts.plan().piecesOf(run);
          for (int i = 0; i < hung.size(); i++) {
            check(facts.plan(), controller, run, hung, i, out);
          }
        }
      }
    }
  }

  private void check(
      Plan plan,
      Controller controller,
      Run run,
      List<PieceAt> hung,
      int index,
      Consumer<Finding> out) {
    Leg leg = run.legs().get(index);
    if (leg.nullPixels() > 0) {
      return;
    }
    Cable cable = Cable.before(plan, controller, leg, hung, index, false);
    PieceAt at = hung.get(index);
    double metres = cable.metres() + at.string().leadMetres();
    if (metres > RISK_METRES) {
      boolean estimated = cable.origin() == Cable.Origin.ESTIMATED;
      Severity severity =
          estimated ? Severity.HINT : metres > FAULT_METRES ? Severity.FAULT : Severity.RISK;
      PortRef port = new PortRef(controller.id(), run.kind(), run.port());
      String told = String.format(Locale.ROOT, "%.1f m", metres);
      out.accept(
          finding(
              severity,
              "%s to %s on %s: %s%s without a pixel"
                  .formatted(
                      index == 0 ? "From the socket" : "From the piece before",
                      at.title(),
                      plan.written(port),
                      told,
                      estimated ? " (estimated)" : ""),
              told,
              metres > FAULT_METRES ? "15 m" : "5 m",
              List.of(Subject.leg(port, leg.piece()))));
    }
  }
}
