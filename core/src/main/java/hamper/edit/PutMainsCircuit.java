package hamper.edit;

import hamper.display.Display;
import hamper.display.MainsCircuit;
import hamper.display.Plan;
import hamper.display.SitePower;

/** Adds a mains circuit at the end, or puts it in the place of the one with its id. */
public record PutMainsCircuit(MainsCircuit mains) implements Edit {
  @Override
  public Display change(Plan plan) {
    SitePower power = plan.display().power();
    return plan.display()
        .withPower(power.withMains(Lists.put(power.mains(), mains, other -> other.id())));
  }

  @Override
  public String label(Plan plan) {
    boolean known =
        plan.display().power().mains().stream().anyMatch(other -> other.id().equals(mains.id()));
    return (known ? "Change mains circuit " : "Add mains circuit ") + mains.name();
  }
}
