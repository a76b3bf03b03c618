package hamper.edit;

import hamper.display.Display;
import hamper.display.Plan;
import java.util.List;

/** Removes a subnet. */
public record RemoveSubnet(String subnet) implements Edit {
  @Override
  public Display change(Plan plan) {
    return Kind.SUBNETS.without(plan, List.of(subnet), plan.display());
  }

  @Override
  public String label(Plan plan) {
    return "Remove subnet " + Kind.SUBNETS.title(plan, subnet);
  }
}
