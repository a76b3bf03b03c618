package hamper.display;

import java.util.Optional;

/**
 * The cable before a leg: as long as somebody entered, or estimated from the rough positions of the
 * zones at its two ends.
 *
 * @param metres (m); 0 where nothing is known
 */
public record Cable(double metres, Origin origin) {
  /** Where the length comes from. */
  public enum Origin {
    ENTERED,
    ESTIMATED,
    UNKNOWN
  }

  /**
   * A rule of thumb: cable goes round corners and up to the prop, so it is longer than the straight
   * line between two zones.
   */
  public static final double DETOUR = 1.2;

  private static final Cable UNKNOWN = new Cable(0, Origin.UNKNOWN);

  static Cable before(Plan plan, HungRun run, HungLeg leg) {
    if (leg.leg().cableMetres().isPresent()) {
      return new Cable(leg.leg().cableMetres().get(), Origin.ENTERED);
    }
    if (run.boxes()) {
      return UNKNOWN; // the way there is the bank's cable, and the box stands at the prop
    }
    Optional<String> from =
        leg.index() == 0
            ? Whereabouts.zone(plan, run.controller())
            : run.legs().get(leg.index() - 1).at().prop().zone();
    return between(plan, from, leg.at().prop().zone());
  }

  /** The lead of a feed on a piece. */
  public static Cable lead(Plan plan, Feed feed, PieceAt at) {
    if (feed.leadMetres().isPresent()) {
      return new Cable(feed.leadMetres().get(), Origin.ENTERED);
    }
    return between(
        plan, Whereabouts.zone(plan, plan.existingSupply(feed.supply())), at.prop().zone());
  }

  private static Cable between(Plan plan, Optional<String> from, Optional<String> to) {
    if (from.isPresent() && from.equals(to)) {
      return UNKNOWN; // inside one zone nothing can be told
    }
    return metresBetween(plan, from, to)
        .filter(metres -> metres > 0)
        .map(metres -> new Cable(Math.ceil(metres * DETOUR), Origin.ESTIMATED))
        .orElse(UNKNOWN);
  }

  /** As the crow flies (m), where both zones have a position; 0 inside one zone. */
  public static Optional<Double> metresBetween(
      Plan plan, Optional<String> from, Optional<String> to) {
    Optional<Zone> a = from.flatMap(plan.zones()::find);
    Optional<Zone> b = to.flatMap(plan.zones()::find);
    if (a.isEmpty() || b.isEmpty()) {
      return Optional.empty();
    }
    return a.get().metresTo(b.get());
  }
}
