package hamper.advise;

import hamper.catalog.PortKind;
import hamper.check.Finding;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.edit.Edit;
import hamper.edit.PatchPieces;
import hamper.edit.Together;
import hamper.facts.Facts;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Hangs what is too far away on a remote box, whose cable bridges the way. */
final class RemoteBoxAdviser implements Adviser {
  @Override
  public Stream<Edit> think(Facts facts, Finding finding) {
    Plan plan = facts.plan();
    return finding
        .pieces()
        .flatMap(
            piece ->
                plan.display().controllers().stream()
                    .filter(controller -> plan.hasBoxes(controller, PortKind.PIXEL))
                    .flatMap(controller -> EmptyPorts.of(plan, controller, PortKind.PIXEL).limit(1))
                    .map(port -> move(plan, piece, port)));
  }

  @Override
  public int most() {
    return 1;
  }

  private static Edit move(Plan plan, String piece, PortRef port) {
    return new Together(
        "Hang it on a remote box of %s, at %s"
            .formatted(plan.existingController(port.controller()).tag(), plan.written(port)),
        List.of(new PatchPieces(List.of(piece), port, Optional.empty())));
  }
}
