package hamper.check;

import hamper.display.Cable;
import hamper.display.HungLeg;
import hamper.display.HungRun;
import hamper.display.PieceAt;
import hamper.display.Plan;
import hamper.facts.Facts;
import java.util.List;
import java.util.function.Consumer;

/** A long way for the data without anything that freshens it up. */
final class DataReachCheck implements Check {
  private static final Page PAGE =
      new Page(
          "data-reach",
          Area.DATA,
          Severity.RISK,
          "Data has far to go",
          "Cable from socket to first pixel, and of every gap; null pixels part it into even spans, and a remote box bridges it; with 5 m (risk) and 15 m (fault), rules of thumb. A length estimated from zones is a hint at most",
          "Colours flicker or jump from there on, more when it is wet.");

  @Override
  public Page page() {
    return PAGE;
  }

  private static final double RISK_METRES = 5;
  private static final double FAULT_METRES = 15;

  @Override
  public void run(Facts facts, Consumer<Finding> out) {
    facts
        .plan()
        .pixelRuns()
        // a remote box stands where the run begins
        .filter(run -> !run.boxes())
        .forEach(run -> run.legs().forEach(leg -> check(facts.plan(), run, leg, out)));
  }

  private void check(Plan plan, HungRun run, HungLeg leg, Consumer<Finding> out) {
    Cable cable = run.cableTo(leg, plan);
    PieceAt at = leg.at();
    // null pixels freshen the data up: they stand evenly along the cable
    double metres = (cable.metres() + at.string().leadMetres()) / (leg.leg().nullPixels() + 1);
    if (metres > RISK_METRES) {
      boolean estimated = cable.origin() == Cable.Origin.ESTIMATED;
      Severity severity =
          estimated ? Severity.HINT : metres > FAULT_METRES ? Severity.FAULT : Severity.RISK;
      Measure told = Measure.of(metres, 1, "m");
      out.accept(
          finding(
              severity,
              "%s to %s on %s: %s%s without a pixel"
                  .formatted(
                      leg.index() == 0 ? "From the socket" : "From the piece before",
                      at.title(),
                      run.written(),
                      told,
                      estimated ? " (estimated)" : ""),
              told,
              Measure.rated(metres > FAULT_METRES ? FAULT_METRES : RISK_METRES, "m"),
              List.of(Subject.leg(run.port(), leg.leg().piece()))));
    }
  }
}
