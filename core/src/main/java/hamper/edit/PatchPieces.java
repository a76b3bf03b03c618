package hamper.edit;

import hamper.display.Controller;
import hamper.display.Display;
import hamper.display.Leg;
import hamper.display.LegAt;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.Run;
import hamper.value.RefusedException;
import hamper.value.Require;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Hangs pieces on a port, one after another; those that hang elsewhere move, and keep their gaps.
 *
 * @param pieces ids, in the order along the wire
 * @param port where to
 * @param before the piece of that run before which they are hung; left out: at the end
 */
public record PatchPieces(List<String> pieces, PortRef port, Optional<String> before)
    implements Edit {
  public PatchPieces {
    pieces = List.copyOf(pieces);
    Require.inRange("pieces", pieces.size(), 1, 10_000);
    Require.that(
        new LinkedHashSet<>(pieces).size() == pieces.size(),
        "pieces",
        pieces,
        "each piece is named once");
  }

  @Override
  public Display change(Plan plan) {
    plan.existingController(port.controller());
    Require.that(
        plan.hasPort(port),
        "port",
        plan.written(port),
        "the controller's model has no such port in its present mode");
    Set<String> moving = new LinkedHashSet<>(pieces);
    Require.that(
        before.isEmpty() || !moving.contains(before.get()),
        "before",
        before.orElse(""),
        "name a piece that stays");
    List<Leg> legs = pieces.stream().map(id -> legOf(plan, id)).toList();
    return Runs.change(
        Runs.without(plan.display(), moving),
        port.controller(),
        controller -> insert(controller, legs));
  }

  private Controller insert(Controller controller, List<Leg> legs) {
    Run run = Runs.runAt(controller, port);
    List<Leg> changed = new ArrayList<>(run.legs());
    changed.addAll(before.map(id -> indexOf(run, id)).orElse(changed.size()), legs);
    return controller.withRun(run.withLegs(changed));
  }

  private static int indexOf(Run run, String piece) {
    for (int i = 0; i < run.legs().size(); i++) {
      if (run.legs().get(i).piece().equals(piece)) {
        return i;
      }
    }
    throw new RefusedException(
        "before", Require.quoted(piece), "it does not hang on this port; name one that does");
  }

  private static Leg legOf(Plan plan, String piece) {
    plan.existingPiece(piece);
    return plan.leg(piece).map(LegAt::leg).orElseGet(() -> Leg.of(piece));
  }

  @Override
  public String label(Plan plan) {
    String what = Pieces.called(plan, pieces);
    boolean moves = pieces.stream().anyMatch(piece -> plan.leg(piece).isPresent());
    return "%s %s to %s".formatted(moves ? "Move" : "Patch", what, plan.written(port));
  }
}
