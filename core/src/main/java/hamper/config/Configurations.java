package hamper.config;

import hamper.address.Packing;
import hamper.catalog.PortKind;
import hamper.display.Controller;
import hamper.display.InForce;
import hamper.display.Plan;
import hamper.resolve.Resolution;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/** The configuration of every controller that is not a host, in list order. */
public final class Configurations {
  private Configurations() {}

  public static List<Configuration> of(Plan plan, Resolution resolution) {
    return devices(plan).mapToObj(i -> of(plan, resolution, i)).toList();
  }

  /** No controller's configuration depends on another's. */
  private static IntStream devices(Plan plan) {
    List<Controller> controllers = plan.display().controllers();
    return IntStream.range(0, controllers.size())
        .parallel()
        .filter(i -> !plan.modelOf(controllers.get(i)).hostOnly());
  }

  /**
   * What one device cannot be told, without the configuration that it is missing from; nothing for
   * a host.
   */
  public static List<Untold> untold(Plan plan, Resolution resolution, int index) {
    Controller controller = plan.display().controllers().get(index);
    if (plan.modelOf(controller).hostOnly()) {
      return List.of();
    }
    return UntoldFinder.find(
        plan, controller, resolution.blocks().get(index), resolution.byController().get(index));
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
        packing(plan.inForce(controller)),
        controller.sending().fromStorage(),
        Inputs.of(plan, controller, block, placements).tell(),
        outputs.tell(),
        untold(plan, resolution, index));
  }

  /** Pixels are packed where universes end. */
  private static Optional<Packing> packing(InForce inForce) {
    boolean pixels =
        inForce.model().portsOf(PortKind.PIXEL).isPresent()
            || inForce.model().portsOf(PortKind.PANEL).isPresent();
    return inForce.usesUniverses() && pixels
        ? Optional.of(inForce.devicePacking())
        : Optional.empty();
  }
}
