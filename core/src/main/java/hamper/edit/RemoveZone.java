package hamper.edit;

import hamper.display.Controller;
import hamper.display.Display;
import hamper.display.Enclosure;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.display.SitePower;
import hamper.display.Supply;
import java.util.List;
import java.util.Optional;

/** Removes a zone; what lay in it lies in none afterwards. */
public record RemoveZone(String zone) implements Edit {
  @Override
  public Display change(Plan plan) {
    Display display = plan.display();
    List<Prop> props = display.props().stream().map(this::leave).toList();
    List<Controller> controllers = display.controllers().stream().map(this::leave).toList();
    SitePower power =
        display.power().withSupplies(display.power().supplies().stream().map(this::leave).toList());
    return Kind.ZONES.without(
        plan,
        List.of(zone),
        display
            .withProps(props)
            .withControllers(controllers)
            .withEnclosures(display.enclosures().stream().map(this::leave).toList())
            .withPower(power));
  }

  private Prop leave(Prop prop) {
    return prop.zone().filter(zone::equals).isEmpty() ? prop : prop.withZone(Optional.empty());
  }

  private Controller leave(Controller controller) {
    return controller.settings().zone().filter(zone::equals).isEmpty()
        ? controller
        : controller.withSettings(controller.settings().withZone(Optional.empty()));
  }

  private Enclosure leave(Enclosure enclosure) {
    return enclosure.zone().filter(zone::equals).isEmpty()
        ? enclosure
        : enclosure.withZone(Optional.empty());
  }

  private Supply leave(Supply supply) {
    return supply.zone().filter(zone::equals).isEmpty()
        ? supply
        : supply.withZone(Optional.empty());
  }

  @Override
  public String label(Plan plan) {
    return "Remove zone " + Kind.ZONES.title(plan, zone);
  }
}
