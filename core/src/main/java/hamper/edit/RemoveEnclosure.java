package hamper.edit;

import hamper.display.Controller;
import hamper.display.Display;
import hamper.display.Plan;
import hamper.display.SitePower;
import hamper.display.Supply;
import java.util.List;
import java.util.Optional;

/**
 * Removes an enclosure and the links that lead to it; what was in it stays, in none, and forgets
 * the zone and the mains circuit that it had from it.
 */
public record RemoveEnclosure(String enclosure) implements Edit {
  @Override
  public Display change(Plan plan) {
    Display display = plan.display();
    SitePower power = display.power();
    return Kind.ENCLOSURES.without(
        plan,
        List.of(enclosure),
        display
            .withLinks(display.links().stream().filter(link -> !link.touches(enclosure)).toList())
            .withControllers(display.controllers().stream().map(this::leave).toList())
            .withPower(power.withSupplies(power.supplies().stream().map(this::leave).toList())));
  }

  private Controller leave(Controller controller) {
    return controller.settings().enclosure().filter(enclosure::equals).isEmpty()
        ? controller
        : controller.withSettings(controller.settings().withEnclosure(Optional.empty()));
  }

  private Supply leave(Supply supply) {
    return supply.enclosure().filter(enclosure::equals).isEmpty()
        ? supply
        : supply.withEnclosure(Optional.empty());
  }

  @Override
  public String label(Plan plan) {
    return "Remove enclosure " + Kind.ENCLOSURES.title(plan, enclosure);
  }
}
