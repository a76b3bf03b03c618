package hamper.edit;

import hamper.display.Controller;
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
    Controller gone = plan.existingController(controller);
    int pieces = gone.runs().stream().mapToInt(run -> run.legs().size()).sum();
    return pieces == 0
        ? "Remove " + gone.tag()
        : "Remove %s, %s back to the tray"
            .formatted(gone.tag(), pieces == 1 ? "1 piece" : pieces + " pieces");
  }
}
