package hamper.edit;

import hamper.display.Display;
import hamper.display.Plan;

/** Removes a subnet. */
public record RemoveSubnet(String subnet) implements Edit {
  @Override
  public Display change(Plan plan) {
    Display display = plan.display();
    return display.withSubnets(
        Lists.remove(display.subnets(), subnet, other -> other.id(), "subnet"));
  }

  @Override
  public String label(Plan plan) {
    return "Remove subnet "
        + Lists.find(plan.display().subnets(), subnet, other -> other.id(), "subnet").name();
  }
}
