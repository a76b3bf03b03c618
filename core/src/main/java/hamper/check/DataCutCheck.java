package hamper.check;

import hamper.catalog.PortKind;
import hamper.display.Conductor;
import hamper.display.Controller;
import hamper.display.Leg;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.Run;
import java.util.List;
import java.util.function.Consumer;

/** A joint that cuts data although pixels follow. */
final class DataCutCheck implements Check {
  private static final Page PAGE =
      new Page(
          "data-cut",
          Area.DATA,
          Severity.FAULT,
          "Data is cut along a run",
          "Each joint of a run of pixels, with data passing: what follows hangs on the same data line",
          "Everything from there on stays dark, or keeps the colour it had.");

  @Override
  public Page page() {
    return PAGE;
  }

  @Override
  public void run(Facts facts, Consumer<Finding> out) {
    for (Controller controller : facts.plan().display().controllers()) {
      for (Run run : controller.runs()) {
        for (int i = 1; run.kind() == PortKind.PIXEL && i < run.legs().size(); i++) {
          Leg leg = run.legs().get(i);
          if (leg.cut().contains(Conductor.DATA)) {
            out.accept(
                told(facts.plan(), new PortRef(controller.id(), run.kind(), run.port()), leg));
          }
        }
      }
    }
  }

  private Finding told(Plan plan, PortRef port, Leg leg) {
    return finding(
        "Data is cut before %s on %s"
            .formatted(plan.existingPiece(leg.piece()).title(), plan.written(port)),
        "data cut",
        "data passing the joint",
        List.of(Subject.leg(port, leg.piece())));
  }
}
