package hamper.edit;

import hamper.display.Controller;
import hamper.display.Display;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.value.Require;

/** Changes a port, whatever hangs on it: its brightness, the universe of a DMX line. */
public record SetPort(PortRef port, RunChange set) implements Edit {
  @Override
  public Display change(Plan plan) {
    Controller controller = plan.existingController(port.controller());
    Require.that(
        plan.hasPort(port) || controller.run(port.kind(), port.port()).isPresent(),
        "port",
        plan.written(port),
        "the controller's model has no such port in its present mode");
    return Runs.change(plan.display(), port.controller(), this::changed);
  }

  private Controller changed(Controller controller) {
    return controller.withRun(set.over(Runs.runAt(controller, port)));
  }

  @Override
  public String label(Plan plan) {
    return Told.of(plan, plan.written(port), set);
  }
}
