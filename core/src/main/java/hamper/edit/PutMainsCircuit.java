package hamper.edit;

import hamper.display.Display;
import hamper.display.MainsCircuit;
import hamper.display.Plan;
import hamper.display.SitePower;
import java.util.List;

/** Adds a mains circuit at the end. */
public record PutMainsCircuit(MainsCircuit mains) implements Edit {
  @Override
  public Display change(Plan plan) {
    SitePower power = plan.display().power();
    return plan.display()
        .withPower(
            power.withMains(
                Lists.add(power.mains(), List.of(mains), one -> one.id(), "mains circuit")));
  }

  @Override
  public String label(Plan plan) {
    return "Add mains circuit " + mains.name();
  }
}
