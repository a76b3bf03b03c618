package hamper.edit;

import hamper.display.Display;
import hamper.display.Plan;
import hamper.display.SitePower;
import hamper.display.Supply;
import java.util.List;

/** Adds a supply at the end. */
public record PutSupply(Supply supply) implements Edit {
  @Override
  public Display change(Plan plan) {
    SitePower power = plan.display().power();
    return plan.display()
        .withPower(
            power.withSupplies(
                Lists.add(power.supplies(), List.of(supply), one -> one.id(), "supply")));
  }

  @Override
  public String label(Plan plan) {
    return "Add supply " + supply.name();
  }
}
