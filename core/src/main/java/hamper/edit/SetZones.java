package hamper.edit;

import hamper.display.Display;
import hamper.display.Plan;
import hamper.display.Zone;
import java.util.List;

/** Renames or moves zones. */
public record SetZones(List<String> zones, ZoneChange set) implements Edit {
  public SetZones {
    zones = Lists.named("zones", zones);
  }

  /** What makes one zone of another. */
  public static SetZones between(Zone before, Zone after) {
    return new SetZones(List.of(after.id()), Fields.between(ZoneChange.class, before, after));
  }

  @Override
  public Display change(Plan plan) {
    return plan.display()
        .withZones(Lists.change(plan.display().zones(), zones, one -> one.id(), set::over, "zone"));
  }

  @Override
  public String label(Plan plan) {
    return Told.of(
        plan,
        zones,
        id -> Lists.find(plan.display().zones(), id, one -> one.id(), "zone").name(),
        "zones",
        set);
  }
}
