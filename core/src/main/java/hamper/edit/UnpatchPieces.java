package hamper.edit;

import hamper.display.Display;
import hamper.display.Plan;
import hamper.value.Require;
import java.util.List;
import java.util.Set;

/** Takes pieces off whatever they hang on. */
public record UnpatchPieces(List<String> pieces) implements Edit {
  public UnpatchPieces {
    pieces = List.copyOf(pieces);
    Require.inRange("pieces", pieces.size(), 1, 10_000);
  }

  @Override
  public Display change(Plan plan) {
    pieces.forEach(plan::existingPiece);
    return Runs.without(plan.display(), Set.copyOf(pieces));
  }

  @Override
  public String label(Plan plan) {
    return "Unpatch " + Pieces.called(plan, pieces);
  }
}
