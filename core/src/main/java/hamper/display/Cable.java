package hamper.display;

import java.util.List;
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

  /**
   * @param index of the leg in the run, from 0
   */
  public static Cable before(Plan plan, Controller controller, Run run, int index) {
    boolean boxes = plan.hasBoxes(controller, run.kind());
    return before(plan, controller, run.legs().get(index), plan.piecesOf(run), index, boxes);
  }

  /**
   * For those who go along a whole run, and know what hangs on it.
   *
   * @param hung on the run, leg by leg
   * @param index of the leg in the run, from 0
   * @param boxes whether the controller's ports come out at remote boxes
   */
  public static Cable before(
      Plan plan, Controller controller, Leg leg, List<PieceAt> hung, int index, boolean boxes) {
    if (leg.cableMetres().isPresent()) {
      return new Cable(leg.cableMetres().get(), Origin.ENTERED);
    }
    if (boxes) {
      return UNKNOWN; // the way there is the bank's cable, and the box stands at the prop
    }
    Optional<String> from =
        index == 0 ? controller.settings().zone() : hung.get(index - 1).prop().zone();
    Optional<String> to = hung.get(index).prop().zone();
    return between(plan, from, to);
  }

  /** The lead of a feed on a piece. */
  public static Cable lead(Plan plan, Feed feed, PieceAt at) {
    if (feed.leadMetres().isPresent()) {
      return new Cable(feed.leadMetres().get(), Origin.ENTERED);
    }
    return between(plan, plan.existingSupply(feed.supply()).zone(), at.prop().zone());
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
    Optional<Zone> a = from.flatMap(plan::zone);
    Optional<Zone> b = to.flatMap(plan::zone);
    if (a.isEmpty() || b.isEmpty()) {
      return Optional.empty();
    }
    return a.get().metresTo(b.get());
  }
}
