package hamper.edit;

import hamper.display.Display;
import hamper.display.Plan;
import hamper.display.Zone;
import java.util.List;

/** Renames or moves zones. */
public record SetZones(List<String> zones, ZoneChange set) implements Edit {
  public SetZones {
    zones = Kind.named("zones", zones);
  }

  /** What makes one zone of another. */
  public static SetZones between(Zone before, Zone after) {
    return new SetZones(List.of(after.id()), Fields.between(ZoneChange.class, before, after));
  }

  @Override
  public Display change(Plan plan) {
    return Kind.ZONES.changing(plan, zones, set);
  }

  @Override
  public String label(Plan plan) {
    return Kind.ZONES.told(plan, zones, set);
  }
}
