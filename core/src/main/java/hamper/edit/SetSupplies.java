package hamper.edit;

import hamper.display.Display;
import hamper.display.Plan;
import hamper.display.SitePower;
import hamper.display.Supply;
import java.util.List;

/** Changes supplies. */
public record SetSupplies(List<String> supplies, SupplyChange set) implements Edit {
  public SetSupplies {
    supplies = Lists.named("supplies", supplies);
  }

  /** What makes one supply of another. */
  public static SetSupplies between(Supply before, Supply after) {
    return new SetSupplies(List.of(after.id()), Fields.between(SupplyChange.class, before, after));
  }

  @Override
  public Display change(Plan plan) {
    SitePower power = plan.display().power();
    return plan.display()
        .withPower(
            power.withSupplies(
                Lists.change(power.supplies(), supplies, one -> one.id(), set::over, "supply")));
  }

  @Override
  public String label(Plan plan) {
    return Told.of(plan, supplies, id -> plan.existingSupply(id).name(), "supplies", set);
  }
}
