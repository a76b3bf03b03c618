package hamper.advise;

import hamper.check.Finding;
import hamper.display.Controller;
import hamper.display.LegAt;
import hamper.edit.Edit;
import hamper.edit.SetMode;
import hamper.facts.Facts;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Runs the controller's ports in another mode, where nothing goes back to the tray for it. */
final class ModeAdviser implements Adviser {
  @Override
  public Stream<Edit> think(Facts facts, Finding finding) {
    Optional<Controller> controller =
        finding.controllers().findFirst().map(facts.plan()::existingController);
    return controller.stream()
        .flatMap(
            one ->
                facts.plan().modelOf(one).ports().stream()
                    .filter(ports -> ports.modes().size() > 1)
                    .flatMap(ports -> ports.modes().stream())
                    .map(mode -> new SetMode(one.id(), Optional.of(mode.name()))))
        .filter(edit -> keepsAll(facts, edit))
        .map(Edit.class::cast);
  }

  private static boolean keepsAll(Facts facts, SetMode edit) {
    var after = edit.applyTo(facts.plan()).plan();
    List<LegAt> before =
        facts.plan().existingController(edit.controller()).runs().stream()
            .flatMap(run -> run.legs().stream())
            .flatMap(leg -> facts.plan().leg(leg.piece()).stream())
            .toList();
    return before.stream().allMatch(at -> after.leg(at.leg().piece()).isPresent());
  }
}
