package hamper.edit;

import hamper.display.Controller;
import hamper.display.Display;
import hamper.display.Plan;
import hamper.value.Require;
import java.util.ArrayList;
import java.util.List;

/**
 * Gives a controller another place in the list; assigned universes and display channels follow.
 *
 * @param by places; negative towards the beginning
 */
public record MoveController(String controller, int by) implements Edit {
  @Override
  public Display change(Plan plan) {
    List<Controller> controllers = new ArrayList<>(plan.display().controllers());
    Controller moved = plan.existingController(controller);
    int index = controllers.indexOf(moved) + by;
    Require.inRange("place", index + 1, 1, controllers.size());
    controllers.remove(moved);
    controllers.add(index, moved);
    return plan.display().withControllers(controllers);
  }

  @Override
  public String label(Plan plan) {
    return "Move %s to place %d"
        .formatted(plan.existingController(controller).tag(), plan.indexOf(controller) + by + 1);
  }
}
