package hamper.edit;

import hamper.display.Display;
import hamper.display.Plan;

/** Removes a controller; what hung on it goes back to the tray. */
public record RemoveController(String controller) implements Edit {
  @Override
  public Display change(Plan plan) {
    return plan.display()
        .withControllers(
            Lists.remove(
                plan.display().controllers(), controller, other -> other.id(), "controller"));
  }

  @Override
  public String label(Plan plan) {
    return "Remove " + plan.existingController(controller).tag();
  }
}
