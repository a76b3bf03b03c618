package hamper.check;

import hamper.display.Conductor;
import hamper.display.HungLeg;
import hamper.display.HungRun;
import hamper.facts.Facts;
import java.util.List;
import java.util.function.Consumer;

/** A joint that cuts data although pixels follow. */
final class DataCutCheck extends Check {
  DataCutCheck() {
    super(
        "data-cut",
        Area.DATA,
        Severity.FAULT,
        "Data is cut along a run",
        "Each joint of a run of pixels, with data passing: what follows hangs on the same data line",
        "Everything from there on stays dark, or keeps the colour it had.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    facts.plan().pixelRuns().forEach(run -> check(run, out));
  }

  private void check(HungRun run, Consumer<Finding> out) {
    for (HungLeg leg : run.legs()) {
      if (leg.index() > 0 && leg.leg().cut().contains(Conductor.DATA)) {
        out.accept(told(run, leg));
      }
    }
  }

  private Finding told(HungRun run, HungLeg leg) {
    return finding(
        "Data is cut before %s on %s".formatted(leg.at().title(), run.written()),
        Measure.words("data cut"),
        Measure.words("data passing the joint"),
        List.of(Subject.leg(run.port(), leg.leg().piece())));
  }
}
