package hamper.edit;

import hamper.display.Display;
import hamper.display.Plan;
import hamper.display.Subnet;

/** Adds a subnet, or puts it in the place of the one with its id. */
public record PutSubnet(Subnet subnet) implements Edit {
  @Override
  public Display change(Plan plan) {
    Display display = plan.display();
    return display.withSubnets(Lists.put(display.subnets(), subnet, other -> other.id()));
  }

  @Override
  public String label(Plan plan) {
    boolean known = plan.display().subnets().stream().anyMatch(s -> s.id().equals(subnet.id()));
    return (known ? "Change subnet " : "Add subnet ") + subnet.name();
  }
}
