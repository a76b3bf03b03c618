package hamper.edit;

import hamper.display.Display;
import hamper.display.Plan;
import hamper.display.Subnet;
import java.util.List;

/** Adds a subnet at the end. */
public record PutSubnet(Subnet subnet) implements Edit {
  @Override
  public Display change(Plan plan) {
    return Kind.SUBNETS.adding(plan, List.of(subnet));
  }

  @Override
  public String label(Plan plan) {
    return "Add subnet " + subnet.name();
  }
}
