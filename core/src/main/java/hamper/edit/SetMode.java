package hamper.edit;

import hamper.catalog.DeviceModel;
import hamper.catalog.PortKind;
import hamper.display.Controller;
import hamper.display.ControllerSettings;
import hamper.display.Display;
import hamper.display.Plan;
import hamper.display.Run;
import java.util.List;
import java.util.Optional;

/**
 * Changes a controller's ports in place. What hangs on a port that the mode does not have goes back
 * to the tray; a preview says so beforehand.
 *
 * @param mode left out: the model's first
 */
public record SetMode(String controller, Optional<String> mode) implements Edit {
  @Override
  public Display change(Plan plan) {
    Controller before = plan.existingController(controller);
    ControllerSettings settings = before.settings().withMode(mode);
    Controller after = fitted(plan.modelOf(before), before.withSettings(settings));
    return Runs.change(plan.display(), controller, other -> after);
  }

  /** The controller without runs on ports that the model does not have in its mode. */
  static Controller fitted(DeviceModel model, Controller controller) {
    List<Run> kept =
        controller.runs().stream()
            .filter(run -> run.port() <= ports(model, run.kind(), controller.settings().mode()))
            .toList();
    return controller.withRuns(kept);
  }

  private static int ports(DeviceModel model, PortKind kind, Optional<String> mode) {
    return model.portsOf(kind).map(group -> group.modeOrFirst(mode).ports()).orElse(0);
  }

  @Override
  public String label(Plan plan) {
    String tag = plan.existingController(controller).tag();
    return mode.map(name -> "Set %s to %s".formatted(tag, name))
        .orElse("Set %s to its usual mode".formatted(tag));
  }
}
