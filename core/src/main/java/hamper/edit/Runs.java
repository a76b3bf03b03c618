package hamper.edit;

import hamper.display.Controller;
import hamper.display.Display;
import hamper.display.Leg;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.Run;
import hamper.value.Listed;
import hamper.value.RecordShape;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;

/** What several edits do to runs and lists of a display. */
final class Runs {
  private Runs() {}

  /** The display with these pieces taken off whatever they hang on. */
  static Display without(Display display, Set<String> pieces) {
    if (pieces.isEmpty()) {
      return display;
    }
    return display.withControllers(
        display.controllers().stream().map(controller -> without(controller, pieces)).toList());
  }

  private static Controller without(Controller controller, Set<String> pieces) {
    Controller changed = controller;
    for (Run run : controller.runs()) {
      List<Leg> kept = run.legs().stream().filter(leg -> !pieces.contains(leg.piece())).toList();
      if (kept.size() < run.legs().size()) {
        changed = changed.withRun(run.withLegs(kept));
      }
    }
    return changed;
  }

  /** The legs of a port, empty where nothing hangs there. */
  static Run runAt(Controller controller, PortRef port) {
    return controller
        .run(port.kind(), port.port())
        .orElseGet(() -> Run.of(port.kind(), port.port(), List.of()));
  }

  /** The controller with the universe of a DMX line held. */
  static Controller withUniverse(Controller controller, PortRef port, int universe) {
    return controller.withRun(
        RecordShape.with(runAt(controller, port), "universe", Optional.of(universe)));
  }

  /**
   * A display of which one controller is changed where it is.
   *
   * @throws hamper.value.RefusedException where it is not there
   */
  static Display change(Display display, String controller, UnaryOperator<Controller> change) {
    return display.withControllers(
        new Listed<>("controller", display.controllers()).changing(List.of(controller), change));
  }

  /** The display with the legs of pieces that hang somewhere changed where they are. */
  static Display changeLegs(Plan plan, List<String> pieces, UnaryOperator<Leg> change) {
    Set<String> changed = new HashSet<>(pieces);
    Set<String> there = new HashSet<>();
    pieces.forEach(piece -> there.add(plan.leg(piece).orElseThrow().port().controller()));
    return plan.display()
        .withControllers(
            plan.display().controllers().stream()
                .map(
                    controller ->
                        there.contains(controller.id())
                            ? changeLegs(controller, changed, change)
                            : controller)
                .toList());
  }

  private static Controller changeLegs(
      Controller before, Set<String> pieces, UnaryOperator<Leg> change) {
    Controller controller = before;
    for (Run run : before.runs()) {
      if (run.legs().stream().anyMatch(leg -> pieces.contains(leg.piece()))) {
        List<Leg> legs =
            run.legs().stream()
                .map(leg -> pieces.contains(leg.piece()) ? change.apply(leg) : leg)
                .toList();
        controller = controller.withRun(run.withLegs(legs));
      }
    }
    return controller;
  }
}
