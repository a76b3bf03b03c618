package hamper.arrange;

import hamper.catalog.PixelType;
import hamper.catalog.PortKind;
import hamper.display.PixelString;
import hamper.display.Plan;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** The roomiest pixel port of a plan, by limits and fuse, if nothing hung on it. */
final class Roomiest {
  private static final int FULL = 100;

  private final Plan plan;
  private final List<Outlet> outlets;
  private final Map<String, Integer> places = new HashMap<>();

  Roomiest(Plan plan) {
    this.plan = plan;
    Yardstick measured = new Yardstick(plan);
    outlets =
        plan.display().controllers().stream()
            .filter(one -> plan.modeOf(one, PortKind.PIXEL).isPresent())
            .map(one -> Outlet.bare(plan, measured, one, PortKind.PIXEL))
            .toList();
  }

  Plan plan() {
    return plan;
  }

  /** In how many parts a string would have to be for it; 1 where it has room, or there is none. */
  int parts(PixelString string) {
    int room = places.computeIfAbsent(string.pixelType(), type -> places(plan.typeOf(string)));
    return room > 0 ? PortsNeeded.parts(string.places(), room) : 1;
  }

  private int places(PixelType type) {
    return outlets.stream()
        .mapToInt(outlet -> outlet.places(type, type.amps(1, 0, FULL)))
        .max()
        .orElse(0);
  }
}
