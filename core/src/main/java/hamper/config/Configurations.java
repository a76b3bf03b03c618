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
    // no controller's configuration depends on another's
    return IntStream.range(0, plan.display().controllers().size())
        .parallel()
        .filter(i -> !plan.modelOf(plan.display().controllers().get(i)).hostOnly())
        .mapToObj(i -> of(plan, resolution, i))
        .toList();
  }

  /**
   * @param index of the controller in the list
   */
  public static Configuration of(Plan plan, Resolution resolution, int index) {
    Controller controller = plan.display().controllers().get(index);
    Outputs outputs =
        new Outputs(
            plan, controller, resolution.blocks().get(index), resolution.byController().get(index));
    var model = plan.modelOf(controller);
    List<Output> told = outputs.tell();
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
        Inputs.tell(
            plan, controller, resolution.blocks().get(index), resolution.byController().get(index)),
        told,
        outputs.untold());
  }
}
