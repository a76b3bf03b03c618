package hamper.send;

import java.util.Set;

/**
 * What somebody wants to light; nothing of both: everything.
 *
 * @param whole all that one of these names
 * @param slots single addresses
 */
public record Targets(Set<Target> whole, Set<Slot> slots) {
  public static final Targets ALL = Targets.of();

  /**
   * One address alone.
   *
   * @param controller its id, on DDP; empty where there are universes
   * @param universe on the wire; 0 on DDP
   * @param channel from 1; on DDP the byte, from 0
   */
  public record Slot(String controller, int universe, int channel) {
    /** Where it lies in the frame that a spot is of. */
    int placeIn(Light.Spot spot) {
      if (!spot.layout().universes().isEmpty()) {
        return universe == 0 ? FrameLayout.NOT_SENT : spot.layout().place(universe, channel);
      }
      boolean own = universe == 0 && controller.equals(spot.port().controller());
      return own ? spot.layout().place(channel) : FrameLayout.NOT_SENT;
    }
  }

  public Targets {
    whole = Set.copyOf(whole);
    slots = Set.copyOf(slots);
  }

  public static Targets of(Target... whole) {
    return new Targets(Set.of(whole), Set.of());
  }

  boolean hits(Light.Spot spot) {
    return isWhole(spot) || slots.stream().anyMatch(slot -> spot.stands(slot.placeIn(spot)));
  }

  private boolean isWhole(Light.Spot spot) {
    return whole.isEmpty() && slots.isEmpty() || spot.names().stream().anyMatch(whole::contains);
  }

  /** Whether a byte of a spot that is hit is lit: all of it, or the one address that was named. */
  boolean lights(Light.Spot spot, int place) {
    return slots.isEmpty()
        || isWhole(spot)
        || slots.stream().anyMatch(slot -> slot.placeIn(spot) == place);
  }
}
