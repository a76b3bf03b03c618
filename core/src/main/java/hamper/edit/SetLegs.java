package hamper.edit;

import hamper.display.Display;
import hamper.display.Leg;
import hamper.display.LegAt;
import hamper.display.Plan;
import hamper.value.RefusedException;
import hamper.value.Require;
import java.util.List;
import java.util.Optional;

/**
 * Changes legs: the gap before them, their joints, the box they hang on, what they mirror.
 *
 * @param pieces that hang there
 */
public record SetLegs(List<String> pieces, LegChange set) implements Edit {
  public SetLegs {
    pieces = Kind.named("pieces", pieces);
  }

  /** What makes one leg of another; of its feeds nothing. */
  public static SetLegs between(Leg before, Leg after) {
    return new SetLegs(List.of(after.piece()), Fields.between(LegChange.class, before, after));
  }

  /**
   * Makes a leg answer to the addresses of another piece, or to its own again.
   *
   * @param original empty: no mirror any more
   */
  public static SetLegs mirror(String piece, Optional<String> original) {
    return new SetLegs(
        List.of(piece), Fields.only(LegChange.class, "mirrorOf", Change.to(original)));
  }

  @Override
  public Display change(Plan plan) {
    pieces.forEach(piece -> patched(plan, piece));
    set.mirrorOf().value().ifPresent(plan::existingPiece);
    return Runs.changeLegs(plan, pieces, set::over);
  }

  @Override
  public String label(Plan plan) {
    if (pieces.size() == 1) {
      String title = plan.existingPiece(pieces.get(0)).title();
      Optional<String> original = set.mirrorOf().value();
      if (original.isPresent()) {
        return "Mirror %s on %s".formatted(plan.existingPiece(original.get()).title(), title);
      }
    }
    return Told.of(plan, pieces, id -> plan.existingPiece(id).title(), "legs", set);
  }

  /** The leg of a piece that has to hang somewhere. */
  static LegAt patched(Plan plan, String piece) {
    String title = plan.existingPiece(piece).title();
    return plan.leg(piece)
        .orElseThrow(
            () ->
                new RefusedException(
                    "piece", Require.quoted(title), "it is not patched; hang it on a port first"));
  }
}
