package hamper.edit;

import hamper.display.Display;
import hamper.display.Plan;
import hamper.display.Supply;
import java.util.List;

/** Adds a supply at the end. */
public record PutSupply(Supply supply) implements Edit {
  @Override
  public Display change(Plan plan) {
    return Kind.SUPPLIES.adding(plan, List.of(supply));
  }

  @Override
  public String label(Plan plan) {
    return "Add supply " + supply.name();
  }
}
