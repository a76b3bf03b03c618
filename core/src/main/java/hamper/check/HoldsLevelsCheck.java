package hamper.check;

import hamper.catalog.Behaviour;
import hamper.catalog.DeviceModel;
import hamper.catalog.PortKind;
import hamper.display.Circuit;
import hamper.display.HungLeg;
import hamper.display.HungRun;
import hamper.facts.Facts;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/** A relay or motor on a device that holds what it was told when nobody sends any more. */
final class HoldsLevelsCheck extends Check {
  HoldsLevelsCheck() {
    super(
        "holds-levels",
        Area.CIRCUITS,
        Severity.FAULT,
        "A circuit stays on when the show is gone",
        "What the model does at its start and when packets stop, where a circuit hangs on it",
        "The computer hangs, and the motor runs on.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    facts
        .plan()
        .runs()
        .filter(run -> run.run().kind() == PortKind.RELAY)
        .forEach(run -> check(facts.plan().modelOf(run.controller()), run, out));
  }

  private void check(DeviceModel model, HungRun run, Consumer<Finding> out) {
    boolean lost = holds(model.lostSource());
    if (!lost && !holds(model.atStart())) {
      return;
    }
    for (HungLeg leg : run.legs()) {
      if (leg.at().piece() instanceof Circuit circuit) {
        out.accept(
            finding(
                "%s hangs on %s, and %s %s %s"
                    .formatted(
                        leg.at().title(),
                        run.written(),
                        model.title(),
                        Behaviour.HOLD.title(),
                        lost ? "when packets stop" : "at its start"),
                Measure.words(Behaviour.HOLD.title()),
                Measure.words(Behaviour.SAFE.title()),
                List.of(Subject.leg(run.port(), circuit.id()))));
      }
    }
  }

  private static boolean holds(Optional<Behaviour> behaviour) {
    return behaviour.filter(Behaviour.HOLD::equals).isPresent();
  }
}
