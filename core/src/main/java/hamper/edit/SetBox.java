package hamper.edit;

import hamper.display.Display;
import hamper.display.LegAt;
import hamper.display.Plan;
import java.util.Optional;

/**
 * Hangs a leg on a remote box of its port's chain.
 *
 * @param box from 1 at the near end; left out: the first, or none where there are none
 */
public record SetBox(String piece, Optional<Integer> box) implements Edit {
  @Override
  public Display change(Plan plan) {
    LegAt at = SetGap.patched(plan, piece);
    return Runs.changeLeg(plan.display(), at.port(), at.index(), leg -> leg.withBox(box));
  }

  @Override
  public String label(Plan plan) {
    String title = plan.existingPiece(piece).title();
    return box.map(number -> "Hang %s on box %d".formatted(title, number))
        .orElse("Take %s off its box".formatted(title));
  }
}
