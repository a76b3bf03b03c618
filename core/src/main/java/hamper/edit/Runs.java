package hamper.edit;

import hamper.display.Controller;
import hamper.display.Display;
import hamper.display.Leg;
import hamper.display.PortRef;
import hamper.display.Run;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.UnaryOperator;

/** What several edits do to runs and lists of a display. */
final class Runs {
  private Runs() {}

  /** The controllers with these pieces taken off whatever they hang on. */
  static List<Controller> without(List<Controller> controllers, Set<String> pieces) {
    return controllers.stream().map(controller -> without(controller, pieces)).toList();
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

  /** The controllers with one of them changed. */
  static List<Controller> change(
      List<Controller> controllers, String id, UnaryOperator<Controller> change) {
    return controllers.stream()
        .map(controller -> controller.id().equals(id) ? change.apply(controller) : controller)
        .toList();
  }

  /** The display with one leg changed in place. */
  static Display changeLeg(Display display, PortRef port, int index, UnaryOperator<Leg> change) {
    return display.withControllers(
        change(
            display.controllers(),
            port.controller(),
            controller -> {
              Run run = runAt(controller, port);
              List<Leg> legs = new ArrayList<>(run.legs());
              legs.set(index, change.apply(legs.get(index)));
              return controller.withRun(run.withLegs(legs));
            }));
  }
}
