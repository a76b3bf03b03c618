package hamper.edit;

import hamper.display.Display;
import hamper.display.Plan;
import hamper.display.Prop;

/** Adds a prop at the end, or puts it in the place of the one with its id. */
public record PutProp(Prop prop) implements Edit {
  @Override
  public Display change(Plan plan) {
    return plan.display().withProps(Lists.put(plan.display().props(), prop, other -> other.id()));
  }

  @Override
  public String label(Plan plan) {
    boolean known = plan.display().props().stream().anyMatch(p -> p.id().equals(prop.id()));
    return (known ? "Change " : "Add ") + prop.name();
  }
}
