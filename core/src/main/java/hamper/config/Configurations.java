package hamper.config;

import hamper.display.Controller;
import hamper.display.Plan;
import hamper.resolve.Resolution;
import java.util.List;
import java.util.stream.IntStream;

/** The configuration of every controller that is not a host, in list order. */
public final class Configurations {
  private Configurations() {}

  public static List<Configuration> of(Plan plan, Resolution resolution) {
    return devices(plan).mapToObj(i -> of(plan, resolution, i)).toList();
  }

  /**
   * What no device of the plan can be told, controller by controller: without the configurations
   * that it is missing from, which nobody needs to find it.
   */
  public static List<Untold> untold(Plan plan, Resolution resolution) {
    return devices(plan).mapToObj(i -> untold(plan, resolution, i)).flatMap(List::stream).toList();
  }

  /** No controller's configuration depends on another's. */
  private static IntStream devices(Plan plan) {
    List<Controller> controllers = plan.display().controllers();
    return IntStream.range(0, controllers.size())
        .parallel()
        .filter(i -> !plan.modelOf(controllers.get(i)).hostOnly());
  }

  private static List<Untold> untold(Plan plan, Resolution resolution, int index) {
    return UntoldFinder.find(
        plan,
        plan.display().controllers().get(index),
        resolution.blocks().get(index),
        resolution.byController().get(index));
  }

  /**
   * @param index of the controller in the list
   */
  public static Configuration of(Plan plan, Resolution resolution, int index) {
    Controller controller = plan.display().controllers().get(index);
    var block = resolution.blocks().get(index);
    var placements = resolution.byController().get(index);
    Outputs outputs = new Outputs(plan, controller, block, placements);
    var model = plan.modelOf(controller);
    return new Configuration(
        plan.display().name(),
        controller.id(),
        controller.tag(),
        controller.name(),
        model.id(),
        model.title(),
        outputs.mode(),
        controller.protocol(),
        controller.transport(),
        controller.address(),
        Inputs.tell(plan, controller, block, placements),
        outputs.tell(),
        untold(plan, resolution, index));
  }
}
