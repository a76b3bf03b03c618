package hamper.advise;

import hamper.address.Protocol;
import hamper.check.Finding;
import hamper.display.Controller;
import hamper.edit.Edit;
import hamper.edit.EditsBetween;
import hamper.facts.Facts;
import hamper.resolve.ControllerBlock;
import hamper.value.RecordShape;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Gives a controller universes of its own: the next that are free, or assigned ones again. */
final class UniversesAdviser implements Adviser {
  @Override
  public Stream<Edit> think(Facts facts, Finding finding) {
    List<String> controllers = new ArrayList<>(finding.controllers().distinct().toList());
    // the later one came to the earlier
    Collections.reverse(controllers);
    return controllers.stream()
        .map(facts.plan()::existingController)
        .flatMap(
            controller ->
                Stream.of(assigned(controller), nextFree(facts, controller))
                    .map(after -> EditsBetween.of(controller, after))
                    .filter(edits -> !edits.isEmpty())
                    .map(edits -> EditsBetween.together(title(controller), edits)));
  }

  private static String title(Controller controller) {
    return "Give %s universes of its own".formatted(controller.tag());
  }

  private static Controller assigned(Controller controller) {
    return withoutHeldLines(controller).withFirstUniverse(Optional.empty());
  }

  private static Controller nextFree(Facts facts, Controller controller) {
    int next = facts.plan().display().settings().firstUniverse();
    for (ControllerBlock block : facts.resolution().blocks()) {
      boolean other = !block.controller().equals(controller.id());
      if (other) {
        next = Math.max(next, block.outermostUniverses().max().orElse(0) + 1);
      }
    }
    return withoutHeldLines(controller)
        .withFirstUniverse(Optional.of(Math.min(next, Protocol.HIGHEST_UNIVERSE)));
  }

  private static Controller withoutHeldLines(Controller controller) {
    return controller.withRuns(
        controller.runs().stream()
            .map(run -> RecordShape.with(run, "universe", Optional.empty()))
            .toList());
  }
}
