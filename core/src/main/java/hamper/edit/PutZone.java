package hamper.edit;

import hamper.display.Display;
import hamper.display.Plan;
import hamper.display.Zone;
import java.util.List;

/** Adds a zone at the end. */
public record PutZone(Zone zone) implements Edit {
  @Override
  public Display change(Plan plan) {
    return plan.display()
        .withZones(Lists.add(plan.display().zones(), List.of(zone), one -> one.id(), "zone"));
  }

  @Override
  public String label(Plan plan) {
    return "Add zone " + zone.name();
  }
}
