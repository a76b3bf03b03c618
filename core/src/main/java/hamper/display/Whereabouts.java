package hamper.display;

import java.util.Optional;
import java.util.function.Function;

/**
 * Where controllers and supplies stand, and what they hang on: as they say themselves, else as the
 * enclosure says that they are in.
 */
public final class Whereabouts {
  private Whereabouts() {}

  /** The id of the zone of a controller. */
  public static Optional<String> zone(Plan plan, Controller controller) {
    ControllerSettings settings = controller.settings();
    return settings.zone().or(() -> of(plan, settings.enclosure(), Enclosure::zone));
  }

  /** The id of the zone of a supply. */
  public static Optional<String> zone(Plan plan, Supply supply) {
    return supply.zone().or(() -> of(plan, supply.enclosure(), Enclosure::zone));
  }

  /** The id of the mains circuit that a supply hangs on. */
  public static Optional<String> mains(Plan plan, Supply supply) {
    return supply.mains().or(() -> of(plan, supply.enclosure(), Enclosure::mains));
  }

  private static Optional<String> of(
      Plan plan, Optional<String> enclosure, Function<Enclosure, Optional<String>> what) {
    return enclosure.flatMap(id -> what.apply(plan.enclosures().existing(id)));
  }
}
