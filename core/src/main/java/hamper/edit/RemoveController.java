package hamper.edit;

import hamper.display.Display;
import hamper.display.Plan;
import java.util.List;

/** Removes a controller; what hung on it goes back to the tray. */
public record RemoveController(String controller) implements Edit {
  @Override
  public Display change(Plan plan) {
    return Kind.CONTROLLERS.without(plan, List.of(controller), plan.display());
  }

  @Override
  public String label(Plan plan) {
    return "Remove " + plan.existingController(controller).tag();
  }
}
