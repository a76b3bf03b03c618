package hamper.edit;

import hamper.display.Display;
import hamper.display.Plan;
import hamper.display.Workshop;

/** Changes how many spares are bought and how much cable is allowed for. */
public record SetWorkshop(Change<Integer> sparesPercent, Change<Integer> allowancePercent)
    implements Edit {
  @Override
  public Display change(Plan plan) {
    Workshop now = plan.display().workshop();
    return plan.display().withWorkshop(Fields.over(now, this));
  }

  @Override
  public String label(Plan plan) {
    return Told.of(plan, "the workshop", this);
  }
}
