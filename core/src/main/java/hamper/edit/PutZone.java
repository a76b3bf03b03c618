package hamper.edit;

import hamper.display.Display;
import hamper.display.Plan;
import hamper.display.Zone;
import java.util.List;

/** Adds a zone at the end. */
public record PutZone(Zone zone) implements Edit {
  @Override
  public Display change(Plan plan) {
    return Kind.ZONES.adding(plan, List.of(zone));
  }

  @Override
  public String label(Plan plan) {
    return "Add zone " + zone.name();
  }
}
