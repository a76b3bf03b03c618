package hamper.edit;

import hamper.display.Zone;
import java.util.List;

/** Renames or moves zones. */
public record SetZones(List<String> zones, ZoneChange set) implements SetsFields<Zone> {
  public SetZones {
    zones = Kind.named("zones", zones);
  }
}
