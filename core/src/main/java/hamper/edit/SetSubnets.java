package hamper.edit;

import hamper.display.Display;
import hamper.display.Plan;
import hamper.display.Subnet;
import java.util.List;

/** Changes subnets. */
public record SetSubnets(List<String> subnets, SubnetChange set) implements Edit {
  public SetSubnets {
    subnets = Lists.named("subnets", subnets);
  }

  /** What makes one subnet of another. */
  public static SetSubnets between(Subnet before, Subnet after) {
    return new SetSubnets(List.of(after.id()), Fields.between(SubnetChange.class, before, after));
  }

  @Override
  public Display change(Plan plan) {
    return plan.display()
        .withSubnets(
            Lists.change(plan.display().subnets(), subnets, one -> one.id(), set::over, "subnet"));
  }

  @Override
  public String label(Plan plan) {
    return Told.of(
        plan,
        subnets,
        id -> Lists.find(plan.display().subnets(), id, one -> one.id(), "subnet").name(),
        "subnets",
        set);
  }
}
