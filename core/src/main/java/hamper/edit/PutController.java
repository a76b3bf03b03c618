package hamper.edit;

import hamper.display.Controller;
import hamper.display.Display;
import hamper.display.Plan;
import java.util.List;

/** Adds a controller as it is at the end of the list: name, settings, inputs, runs and all. */
public record PutController(Controller controller) implements Edit {
  @Override
  public Display change(Plan plan) {
    return Kind.CONTROLLERS.adding(plan, List.of(controller));
  }

  @Override
  public String label(Plan plan) {
    return "Add " + controller.tag();
  }
}
