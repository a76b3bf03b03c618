package hamper.edit;

import hamper.display.Display;
import hamper.display.Plan;
import hamper.display.Zone;

/** Adds a zone at the end, or puts it in the place of the one with its id. */
public record PutZone(Zone zone) implements Edit {
  @Override
  public Display change(Plan plan) {
    return plan.display().withZones(Lists.put(plan.display().zones(), zone, other -> other.id()));
  }

  @Override
  public String label(Plan plan) {
    boolean known = plan.display().zones().stream().anyMatch(z -> z.id().equals(zone.id()));
    return (known ? "Change zone " : "Add zone ") + zone.name();
  }
}
