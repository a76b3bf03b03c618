package hamper.edit;

import hamper.display.Controller;
import java.util.List;

/** Changes settings of controllers. */
public record SetControllers(List<String> controllers, ControllerChange set)
    implements SetsFields<Controller> {
  public SetControllers {
    controllers = Kind.named("controllers", controllers);
  }
}
