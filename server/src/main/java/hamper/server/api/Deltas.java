package hamper.server.api;

import hamper.change.Moves;
import hamper.check.Checks;
import hamper.check.Facts;
import hamper.check.Finding;
import hamper.edit.Edit;
import hamper.server.api.ControllerView.BlockView;
import hamper.server.api.Preview.BlockChange;
import hamper.server.live.LiveDisplay;
import hamper.server.live.Step;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Compares views of two facts, so that answers hold what changed and not everything. */
final class Deltas {
  private Deltas() {}

  static DisplayView whole(LiveDisplay display) {
    LiveDisplay.Look look = display.look();
    var plan = look.facts().plan().display();
    return new DisplayView(
        display.id(),
        look.version(),
        plan.name(),
        plan.settings(),
        look.facts().plan().catalog().pixelTypes(),
        plan.zones(),
        NetworkView.of(look.facts()),
        Views.props(look.facts()),
        Views.controllers(look.facts()),
        Checks.run(look.facts()),
        Checks.accepted(look.facts()),
        new UndoView(look.undoLabel(), look.redoLabel()));
  }

  static Delta of(Step step, UndoView undo) {
    var now = step.after().plan().display();
    List<ControllerView> controllers = Views.controllers(step.after());
    List<PropView> props = Views.props(step.after());
    List<Finding> findings = Checks.run(step.after());
    return new Delta(
        step.fromVersion(),
        step.version(),
        step.label(),
        moved(step.before(), step.after()),
        now.name(),
        now.settings(),
        step.after().plan().catalog().pixelTypes(),
        now.zones(),
        changed(NetworkView.of(step.before()), NetworkView.of(step.after())),
        added(Views.controllers(step.before()), controllers),
        controllers.stream().map(view -> view.controller().id()).toList(),
        added(Views.props(step.before()), props),
        props.stream().map(view -> view.prop().id()).toList(),
        changed(Checks.run(step.before()), findings),
        changed(Checks.accepted(step.before()), Checks.accepted(step.after())),
        undo);
  }

  static Preview preview(Facts before, Edit edit) {
    Facts after = Facts.of(edit.applyTo(before.plan()).plan());
    List<Finding> was = Checks.run(before);
    List<Finding> is = Checks.run(after);
    return new Preview(
        edit.label(before.plan()),
        moved(before, after),
        added(lanes(before), lanes(after)),
        blocks(before, after),
        unpatched(before, after),
        added(was, is),
        added(is, was));
  }

  /** Blocks that are not what they were, in list order. */
  private static List<BlockChange> blocks(Facts before, Facts after) {
    Map<String, BlockView> was = new HashMap<>();
    Views.controllers(before).forEach(view -> was.put(view.controller().id(), view.block()));
    return Views.controllers(after).stream()
        .filter(view -> !view.block().equals(was.get(view.controller().id())))
        .map(
            view ->
                new BlockChange(
                    view.controller().id(),
                    Optional.ofNullable(was.get(view.controller().id())),
                    view.block()))
        .toList();
  }

  /** Titles of pieces that hang before and not after. */
  private static List<String> unpatched(Facts before, Facts after) {
    return before.plan().display().props().stream()
        .flatMap(prop -> prop.pieces().stream())
        .filter(piece -> before.plan().leg(piece.id()).isPresent())
        .filter(piece -> after.plan().piece(piece.id()).isPresent())
        .filter(piece -> after.plan().leg(piece.id()).isEmpty())
        .map(piece -> before.plan().existingPiece(piece.id()).title())
        .toList();
  }

  private static <T> Optional<T> changed(T before, T after) {
    return before.equals(after) ? Optional.empty() : Optional.of(after);
  }

  private static String moved(Facts before, Facts after) {
    return Moves.between(before.resolution(), after.resolution()).told(after.plan());
  }

  private static List<LaneView> lanes(Facts facts) {
    List<LaneView> lanes = new ArrayList<>();
    Views.controllers(facts).forEach(controller -> lanes.addAll(controller.lanes()));
    return lanes;
  }

  /** Those of the second list that the first has not. */
  private static <T> List<T> added(List<T> before, List<T> after) {
    Set<T> known = new HashSet<>(before);
    return after.stream().filter(view -> !known.contains(view)).toList();
  }
}
