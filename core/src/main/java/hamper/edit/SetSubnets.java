package hamper.edit;

import hamper.display.Display;
import hamper.display.Plan;
import hamper.display.Subnet;
import java.util.List;

/** Changes subnets. */
public record SetSubnets(List<String> subnets, SubnetChange set) implements Edit {
  public SetSubnets {
    subnets = Kind.named("subnets", subnets);
  }

  /** What makes one subnet of another. */
  public static SetSubnets between(Subnet before, Subnet after) {
    return new SetSubnets(List.of(after.id()), Fields.between(SubnetChange.class, before, after));
  }

  @Override
  public Display change(Plan plan) {
    return Kind.SUBNETS.changing(plan, subnets, set);
  }

  @Override
  public String label(Plan plan) {
    return Kind.SUBNETS.told(plan, subnets, set);
  }
}
