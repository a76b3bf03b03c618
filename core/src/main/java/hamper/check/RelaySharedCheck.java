package hamper.check;

import hamper.catalog.PortKind;
import hamper.display.HungLeg;
import hamper.display.HungRun;
import hamper.facts.Facts;
import java.util.List;
import java.util.function.Consumer;

/** More than one circuit on one relay. */
final class RelaySharedCheck extends Check {
  RelaySharedCheck() {
    super(
        "relay-shared",
        Area.CIRCUITS,
        Severity.FAULT,
        "Two circuits on one relay",
        "Circuits on each relay port with one",
        "Both go on and off together, as the first one is told.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    facts
        .plan()
        .runs()
        .filter(run -> run.run().kind() == PortKind.RELAY && run.legs().size() > 1)
        .forEach(run -> check(run, out));
  }

  private void check(HungRun run, Consumer<Finding> out) {
    HungLeg second = run.legs().get(1);
    Measure found = Measure.count(run.legs().size(), "circuits");
    out.accept(
        finding(
            "%s carries %s: %s hangs there besides %s"
                .formatted(
                    run.written(), found, second.at().title(), run.legs().get(0).at().title()),
            found,
            Measure.count(1, "circuit"),
            List.of(Subject.leg(run.port(), second.leg().piece()))));
  }
}
