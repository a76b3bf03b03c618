package hamper.edit;

import hamper.display.Display;
import hamper.display.Plan;
import hamper.display.Supply;
import java.util.List;

/** Changes supplies. */
public record SetSupplies(List<String> supplies, SupplyChange set) implements Edit {
  public SetSupplies {
    supplies = Kind.named("supplies", supplies);
  }

  /** What makes one supply of another. */
  public static SetSupplies between(Supply before, Supply after) {
    return new SetSupplies(List.of(after.id()), Fields.between(SupplyChange.class, before, after));
  }

  @Override
  public Display change(Plan plan) {
    return Kind.SUPPLIES.changing(plan, supplies, set);
  }

  @Override
  public String label(Plan plan) {
    return Kind.SUPPLIES.told(plan, supplies, set);
  }
}
