package hamper.edit;

import hamper.display.Controller;
import hamper.display.Display;
import hamper.display.Plan;
import java.util.List;

/** Adds a controller as it is at the end of the list: name, settings, inputs, runs and all. */
public record PutController(Controller controller) implements Edit {
  @Override
  public Display change(Plan plan) {
    return plan.display()
        .withControllers(
            Lists.add(
                plan.display().controllers(),
                List.of(controller),
                other -> other.id(),
                "controller"));
  }

  @Override
  public String label(Plan plan) {
    return "Add " + controller.tag();
  }
}
