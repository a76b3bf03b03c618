package hamper.edit;

import hamper.address.IpAddress;
import hamper.address.Protocol;
import hamper.catalog.DeviceModel;
import hamper.display.Controller;
import hamper.display.ControllerSettings;
import hamper.display.Display;
import hamper.display.Plan;
import hamper.value.Require;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Adds devices of a model, as people would set them up: the next tags, the next free addresses of
 * the first subnet, the protocol that the model names first, levels from the first host.
 *
 * @param controllers their ids
 */
public record AddControllers(String model, List<String> controllers) implements Edit {
  private static final int MOST = 100;

  /** What lights is called K1, K2 and so on; what only sends is called H1, H2. */
  private static final String CONTROLLER = "K";

  private static final String HOST = "H";

  public AddControllers {
    Require.id("model", model);
    Require.inRange("controllers", controllers.size(), 1, MOST);
    controllers = List.copyOf(controllers);
  }

  @Override
  public Display change(Plan plan) {
    DeviceModel of = model(plan);
    Display display = plan.display();
    List<IpAddress> free = free(display);
    List<Controller> added = new ArrayList<>();
    int last = lastNumber(display, of);
    for (int i = 0; i < controllers.size(); i++) {
      Optional<IpAddress> address = i < free.size() ? Optional.of(free.get(i)) : Optional.empty();
      added.add(
          new Controller(
              controllers.get(i),
              letter(of) + (last + i + 1),
              of.name(),
              of.id(),
              settings(plan, of).withAddress(address),
              Optional.empty(),
              List.of()));
    }
    return Kind.CONTROLLERS.adding(plan, added);
  }

  private DeviceModel model(Plan plan) {
    return plan.catalog().existingModel("model", model);
  }

  private static ControllerSettings settings(Plan plan, DeviceModel model) {
    if (model.hostOnly()) {
      return ControllerSettings.of(Protocol.NONE);
    }
    Optional<String> host =
        plan.display().controllers().stream()
            .filter(one -> plan.modelOf(one).hostOnly())
            .map(Controller::id)
            .findFirst();
    return ControllerSettings.of(model.protocols().get(0).protocol()).withSource(host);
  }

  private static String letter(DeviceModel model) {
    return model.hostOnly() ? HOST : CONTROLLER;
  }

  /** The highest number behind the letter that anything has. */
  private static int lastNumber(Display display, DeviceModel model) {
    return display.controllers().stream()
        .map(Controller::tag)
        .filter(tag -> tag.matches(letter(model) + "\\d{1,6}"))
        .mapToInt(tag -> Integer.parseInt(tag.substring(1)))
        .max()
        .orElse(0);
  }

  private List<IpAddress> free(Display display) {
    List<IpAddress> taken =
        display.controllers().stream().flatMap(one -> one.addresses().stream()).toList();
    return display.subnets().stream()
        .findFirst()
        .map(subnet -> subnet.free(taken, controllers.size()))
        .orElse(List.of());
  }

  @Override
  public String label(Plan plan) {
    String title = model(plan).title();
    return controllers.size() == 1
        ? "Add " + letter(model(plan)) + (lastNumber(plan.display(), model(plan)) + 1)
        : "Add %d × %s".formatted(controllers.size(), title);
  }
}
