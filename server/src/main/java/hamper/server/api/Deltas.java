package hamper.server.api;

import hamper.change.Moves;
import hamper.change.ToldDifference;
import hamper.check.Checks;
import hamper.check.Finding;
import hamper.config.Configuration;
import hamper.config.Configurations;
import hamper.display.HungLeg;
import hamper.display.PieceAt;
import hamper.edit.Edit;
import hamper.facts.ControllerFacts;
import hamper.facts.Facts;
import hamper.server.api.ControllerView.BlockView;
import hamper.server.api.Preview.BlockChange;
import hamper.server.live.LiveDisplay;
import hamper.server.live.Step;
import hamper.still.KeepStill;
import hamper.still.Kept;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/** Compares views of two facts, so that answers hold what changed and not everything. */
final class Deltas {
  private Deltas() {}

  static DisplayView whole(String id, LiveDisplay.Look look, Shown shown) {
    var plan = look.facts().plan().display();
    return new DisplayView(
        id,
        look.version(),
        plan.name(),
        plan.settings(),
        look.facts().plan().catalog().pixelTypes(),
        plan.zones(),
        shown.network(),
        shown.power(),
        shown.props(),
        shown.controllers(),
        shown.findings(),
        shown.accepted(),
        new UndoView(look.undoLabel(), look.redoLabel()));
  }

  /**
   * @param was shown before the step
   * @param is shown after it
   */
  static Delta of(Step step, UndoView undo, Shown was, Shown is) {
    var now = step.after().plan().display();
    return new Delta(
        step.fromVersion(),
        step.version(),
        step.label(),
        moved(step.before(), step.after()),
        now.name(),
        now.settings(),
        step.after().plan().catalog().pixelTypes(),
        now.zones(),
        NetworkDelta.between(was.network(), is.network()),
        PowerDelta.between(was.power(), is.power()),
        different(was.controllers(), is.controllers(), view -> view.controller().id()),
        order(was.controllers(), is.controllers(), view -> view.controller().id()),
        different(was.props(), is.props(), view -> view.prop().id()),
        order(was.props(), is.props(), view -> view.prop().id()),
        changed(was.findings(), is.findings()),
        changed(was.accepted(), is.accepted()),
        undo);
  }

  /** The ids of the second list, where they are not those of the first. */
  private static <T> Optional<List<String>> order(List<T> was, List<T> is, Function<T, String> id) {
    return changed(was.stream().map(id).toList(), is.stream().map(id).toList());
  }

  /** Those of the second list that are new or not what they were. */
  private static <T> List<T> different(List<T> was, List<T> is, Function<T, String> id) {
    List<T> changed = new ArrayList<>();
    for (int i = 0; i < is.size(); i++) {
      T view = is.get(i);
      // most stand where they stood; the others are looked up
      if (i >= was.size() || !view.equals(was.get(i))) {
        changed.add(view);
      }
    }
    if (!changed.isEmpty()) {
      Map<String, T> before = new HashMap<>();
      was.forEach(view -> before.put(id.apply(view), view));
      changed.removeIf(view -> view.equals(before.get(id.apply(view))));
    }
    return changed;
  }

  /** What an edit would do to a display as it stands. */
  static Preview preview(Standing standing, Edit edit) {
    Facts before = standing.facts();
    Optional<Kept> kept =
        LiveDisplay.keepsStill(before.plan(), edit)
            ? Optional.of(KeepStill.of(before.plan(), before.resolution(), edit))
            : Optional.empty();
    Edit made = kept.map(Kept::edit).orElse(edit);
    Facts after = before.with(before.plan().with(made.change(before.plan())));
    List<Finding> was = standing.shown().findings();
    List<Finding> is = Checks.told(after, standing.season()).open();
    List<ControllerView> viewsBefore = standing.shown().controllers();
    List<ControllerView> viewsAfter = Views.controllers(after, before, viewsBefore);
    return new Preview(
        edit.label(before.plan()),
        moved(before, after),
        added(lanesOf(viewsBefore, viewsAfter), lanesOf(viewsAfter, viewsBefore)),
        PowerView.of(after),
        blocks(viewsBefore, viewsAfter),
        unpatched(before, after),
        stale(standing, after, viewsAfter),
        added(was, is),
        added(is, was),
        kept.map(
            one -> new Preview.StillForecast(one.held(), one.with(), one.without(), one.moving())));
  }

  /** Blocks that are not what they were, in list order. */
  private static List<BlockChange> blocks(List<ControllerView> before, List<ControllerView> after) {
    Map<String, BlockView> was = new HashMap<>();
    before.forEach(view -> was.put(view.controller().id(), view.block()));
    return after.stream()
        .filter(view -> !view.block().equals(was.get(view.controller().id())))
        .map(
            view ->
                new BlockChange(
                    view.controller().id(),
                    Optional.ofNullable(was.get(view.controller().id())),
                    view.block()))
        .toList();
  }

  /**
   * Tags of controllers whose configuration differs. One whose view was taken over has nothing
   * behind it that changed, so it is told what it was told.
   */
  private static List<String> stale(Standing before, Facts after, List<ControllerView> views) {
    Map<String, ControllerView> shown = new HashMap<>();
    before.shown().controllers().forEach(view -> shown.put(view.controller().id(), view));
    Map<String, Configuration> was = new HashMap<>();
    before.configurations().forEach(one -> was.put(one.controller(), one));
    return views.stream()
        .filter(view -> !view.host() && shown.get(view.controller().id()) != view)
        .map(view -> view.controller().id())
        .filter(was::containsKey)
        .map(id -> Configurations.of(after.plan(), after.resolution(), after.plan().indexOf(id)))
        .filter(one -> !ToldDifference.between(was.get(one.controller()), one).isNone())
        .map(one -> after.plan().existingController(one.controller()).tag())
        .toList();
  }

  /** Titles of pieces that hang before and not after. */
  private static List<String> unpatched(Facts before, Facts after) {
    Set<ControllerFacts> kept = Collections.newSetFromMap(new IdentityHashMap<>());
    kept.addAll(after.controllers());
    return before.controllers().stream()
        .filter(one -> !kept.contains(one))
        .flatMap(one -> one.runs().stream())
        .flatMap(run -> run.run().legs().stream())
        .map(HungLeg::at)
        .filter(at -> after.plan().piece(at.piece().id()).isPresent())
        .filter(at -> after.plan().leg(at.piece().id()).isEmpty())
        .map(PieceAt::title)
        .toList();
  }

  private static <T> Optional<T> changed(T before, T after) {
    return before.equals(after) ? Optional.empty() : Optional.of(after);
  }

  private static String moved(Facts before, Facts after) {
    return Moves.between(before.resolution(), after.resolution()).told(after.plan());
  }

  /** Lanes of views that others do not have as one and the same object. */
  private static List<LaneView> lanesOf(List<ControllerView> views, List<ControllerView> others) {
    Set<ControllerView> same = Collections.newSetFromMap(new IdentityHashMap<>());
    same.addAll(others);
    return views.stream()
        .filter(view -> !same.contains(view))
        .flatMap(view -> view.lanes().stream())
        .toList();
  }

  /** Those of the second list that the first has not. */
  private static <T> List<T> added(List<T> before, List<T> after) {
    Set<T> known = new HashSet<>(before);
    return after.stream().filter(view -> !known.contains(view)).toList();
  }
}
