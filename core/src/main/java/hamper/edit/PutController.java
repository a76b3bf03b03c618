package hamper.edit;

import hamper.display.Controller;
import hamper.display.Display;
import hamper.display.Plan;

/**
 * Adds a controller at the end of the list, or puts it in the place of the one with its id: name,
 * settings, inputs, runs and all.
 */
public record PutController(Controller controller) implements Edit {
  @Override
  public Display change(Plan plan) {
    return plan.display()
        .withControllers(Lists.put(plan.display().controllers(), controller, other -> other.id()));
  }

  @Override
  public String label(Plan plan) {
    return (plan.controller(controller.id()).isPresent() ? "Change " : "Add ") + controller.tag();
  }
}
