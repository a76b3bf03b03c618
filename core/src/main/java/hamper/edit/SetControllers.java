package hamper.edit;

import hamper.display.Controller;
import hamper.display.Display;
import hamper.display.Plan;
import java.util.List;

/** Changes settings of controllers. */
public record SetControllers(List<String> controllers, ControllerChange set) implements Edit {
  public SetControllers {
    controllers = Lists.named("controllers", controllers);
  }

  /** What makes one controller of another. */
  public static SetControllers between(Controller before, Controller after) {
    return new SetControllers(
        List.of(after.id()), Fields.between(ControllerChange.class, before, after));
  }

  @Override
  public Display change(Plan plan) {
    return plan.display()
        .withControllers(
            Lists.change(
                plan.display().controllers(),
                controllers,
                one -> one.id(),
                set::over,
                "controller"));
  }

  @Override
  public String label(Plan plan) {
    return Told.of(plan, controllers, id -> plan.existingController(id).tag(), "controllers", set);
  }
}
