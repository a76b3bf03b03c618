package hamper.edit;

import hamper.display.Controller;
import hamper.display.Display;
import hamper.display.Plan;
import java.util.List;

/** Changes settings of controllers. */
public record SetControllers(List<String> controllers, ControllerChange set) implements Edit {
  public SetControllers {
    controllers = Kind.named("controllers", controllers);
  }

  /** What makes one controller of another. */
  public static SetControllers between(Controller before, Controller after) {
    return new SetControllers(
        List.of(after.id()), Fields.between(ControllerChange.class, before, after));
  }

  @Override
  public Display change(Plan plan) {
    return Kind.CONTROLLERS.changing(plan, controllers, set);
  }

  @Override
  public String label(Plan plan) {
    return Kind.CONTROLLERS.told(plan, controllers, set);
  }
}
