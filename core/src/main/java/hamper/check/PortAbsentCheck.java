package hamper.check;

import hamper.display.Controller;
import hamper.display.PortRef;
import hamper.display.Run;
import hamper.facts.Facts;
import java.util.List;
import java.util.function.Consumer;

/** Something hangs on a port that the controller does not have in its present mode. */
final class PortAbsentCheck extends Check {
  PortAbsentCheck() {
    super(
        "port-absent",
        Area.COMPLETENESS,
        Severity.FAULT,
        "No such port in this mode",
        "Ports in use with the ports that the controller has in its mode",
        "There is no socket for this plug.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    for (Controller controller : facts.plan().display().controllers()) {
      for (Run run : controller.runs()) {
        PortRef port = new PortRef(controller.id(), run.kind(), run.port());
        if (!run.legs().isEmpty() && !facts.plan().hasPort(port)) {
          int ports = facts.plan().modeOf(controller, run.kind()).map(m -> m.ports()).orElse(0);
          out.accept(
              finding(
                  "%s carries %d %s, and %s has %d ports of this kind in its mode"
                      .formatted(
                          facts.plan().written(port),
                          run.legs().size(),
                          run.legs().size() == 1 ? "leg" : "legs",
                          controller.tag(),
                          ports),
                  Measure.numbered("port", run.port()),
                  Measure.words("ports 1 to " + ports),
                  List.of(Subject.port(port))));
        }
      }
    }
  }
}
