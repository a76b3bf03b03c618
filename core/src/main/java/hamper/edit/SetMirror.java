package hamper.edit;

import hamper.display.Display;
import hamper.display.LegAt;
import hamper.display.Plan;
import java.util.Optional;

/**
 * Makes a leg answer to the addresses of another piece, or to its own again.
 *
 * @param mirrorOf the original; left out: no mirror any more
 */
public record SetMirror(String piece, Optional<String> mirrorOf) implements Edit {
  @Override
  public Display change(Plan plan) {
    LegAt at = SetGap.patched(plan, piece);
    mirrorOf.ifPresent(plan::existingPiece);
    return Runs.changeLeg(plan.display(), at.port(), at.index(), leg -> leg.withMirrorOf(mirrorOf));
  }

  @Override
  public String label(Plan plan) {
    String title = plan.existingPiece(piece).title();
    return mirrorOf
        .map(original -> "Mirror %s on %s".formatted(plan.existingPiece(original).title(), title))
        .orElse("End the mirror " + title);
  }
}
