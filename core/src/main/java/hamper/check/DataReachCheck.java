package hamper.check;

import hamper.display.Cable;
import hamper.display.HungLeg;
import hamper.display.HungRun;
import hamper.display.Plan;
import hamper.facts.Facts;
import hamper.load.DataReach;
import java.util.List;
import java.util.function.Consumer;

/** A long way for the data without anything that freshens it up. */
final class DataReachCheck extends Check {
  DataReachCheck() {
    super(
        "data-reach",
        Area.DATA,
        Severity.RISK,
        "Data has far to go",
        "Cable from socket to first pixel and of every gap, parted into even spans by its null pixels. A span that the socket drives, with 2 m (unbuffered 3.3 V) or 5 m (buffered 5 V, or not told); one that a pixel drives, with 3 m or what its type says; both with 15 m (fault). Rules of thumb; a remote box bridges the way to it. A length estimated from zones is a hint at most",
        "Colours flicker or jump from there on, more when it is wet.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    facts
        .plan()
        .pixelRuns()
        // a remote box stands where the run begins
        .filter(run -> !run.boxes())
        .forEach(run -> run.legs().forEach(leg -> check(facts.plan(), run, leg, out)));
  }

  private void check(Plan plan, HungRun run, HungLeg leg, Consumer<Finding> out) {
    DataReach way = DataReach.of(plan, run, leg);
    int nulls = leg.leg().nullPixels();
    if (!way.tooFar(nulls)) {
      return;
    }
    boolean estimated = run.cableTo(leg, plan).origin() == Cable.Origin.ESTIMATED;
    boolean fault = way.span(nulls) > DataReach.MOST_METRES;
    Measure told = Measure.of(way.span(nulls), 1, "m");
    out.accept(
        finding(
            estimated ? Severity.HINT : fault ? Severity.FAULT : Severity.RISK,
            "%s to %s on %s: %s%s without a pixel"
                .formatted(
                    leg.index() == 0 ? "From the socket" : "From the piece before",
                    leg.at().title(),
                    run.written(),
                    told,
                    estimated ? " (estimated)" : ""),
            told,
            Measure.rated(fault ? DataReach.MOST_METRES : way.most(nulls), "m"),
            List.of(Subject.leg(run.port(), leg.leg().piece()))));
  }
}
