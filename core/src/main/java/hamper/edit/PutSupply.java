package hamper.edit;

import hamper.display.Display;
import hamper.display.Plan;
import hamper.display.SitePower;
import hamper.display.Supply;

/** Adds a supply at the end, or puts it in the place of the one with its id. */
public record PutSupply(Supply supply) implements Edit {
  @Override
  public Display change(Plan plan) {
    SitePower power = plan.display().power();
    return plan.display()
        .withPower(power.withSupplies(Lists.put(power.supplies(), supply, other -> other.id())));
  }

  @Override
  public String label(Plan plan) {
    return (plan.supply(supply.id()).isPresent() ? "Change supply " : "Add supply ")
        + supply.name();
  }
}
