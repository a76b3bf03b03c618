package hamper.edit;

import hamper.catalog.PortKind;
import hamper.display.Display;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.value.RefusedException;
import hamper.value.Require;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Hangs pieces one a port over consecutive free ports, as a big prop wants it; in one gesture.
 *
 * @param pieces ids, in port order
 * @param from the port at which to begin; left out: the first stretch of free ports that is long
 *     enough
 */
public record PatchAcross(List<String> pieces, String controller, Optional<Integer> from)
    implements Edit {
  public PatchAcross {
    pieces = List.copyOf(pieces);
    Require.inRange("pieces", pieces.size(), 1, 1024);
    Require.inRange("from", from, 1, 1024);
  }

  @Override
  public Display change(Plan plan) {
    Plan now = plan.with(new UnpatchPieces(pieces).change(plan));
    PortKind kind = now.existingPiece(pieces.get(0)).piece().portKind();
    int first = from.isPresent() ? from.get() : firstFree(now, kind);
    for (int i = 0; i < pieces.size(); i++) {
      PortRef port = new PortRef(controller, kind, first + i);
      now = now.with(new PatchPieces(List.of(pieces.get(i)), port, Optional.empty()).change(now));
    }
    return now.display();
  }

  private int firstFree(Plan plan, PortKind kind) {
    var owner = plan.existingController(controller);
    int most = plan.modeOf(owner, kind).map(mode -> mode.ports()).orElse(0);
    List<Integer> free = new ArrayList<>();
    for (int port = 1; port <= most; port++) {
      boolean empty = owner.run(kind, port).map(run -> run.legs().isEmpty()).orElse(true);
      free = empty ? free : new ArrayList<>();
      if (empty) {
        free.add(port);
      }
      if (free.size() == pieces.size()) {
        return free.get(0);
      }
    }
    throw new RefusedException(
        "controller",
        owner.tag(),
        "it has no %d free %s ports one after another; name the first, or another controller"
            .formatted(pieces.size(), kind.title()));
  }

  @Override
  public String label(Plan plan) {
    String what =
        pieces.size() == 1 ? plan.existingPiece(pieces.get(0)).title() : pieces.size() + " pieces";
    return "Patch %s across %s".formatted(what, plan.existingController(controller).tag());
  }
}
