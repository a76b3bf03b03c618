package hamper.check;

import hamper.address.UniverseChannel;
import hamper.display.Controller;
import hamper.display.InputRange;
import hamper.display.Plan;
import hamper.facts.ControllerFacts;
import hamper.facts.Facts;
import hamper.resolve.Placement;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;

/** Inputs set by hand that do not cover what the outputs use. */
final class InputsShortCheck extends Check {
  InputsShortCheck() {
    super(
        "inputs-short",
        Area.INPUTS,
        Severity.FAULT,
        "Inputs do not cover the outputs",
        "Inputs set by hand with the universes and channels that the outputs use",
        "The controller does not listen there: those pixels stay dark.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    for (ControllerFacts one : facts.controllers()) {
      Controller controller = one.controller();
      if (controller.inputs().isPresent() && controller.protocol().usesUniverses()) {
        run(facts.plan(), one, out);
      }
    }
  }

  private void run(Plan plan, ControllerFacts facts, Consumer<Finding> out) {
    Controller controller = facts.controller();
    int missing = 0;
    Set<String> dark = new LinkedHashSet<>();
    List<Subject> subjects = new ArrayList<>();
    subjects.add(Subject.controller(controller.id()));
    for (Placement at : facts.placements()) {
      int uncovered = at.kind().flows() ? uncovered(controller, at) : 0;
      if (uncovered > 0) {
        missing += uncovered;
        if (dark.add(plan.existingPiece(at.piece()).title())) {
          subjects.add(Subject.leg(at.port(), at.piece()));
        }
      }
    }
    if (missing > 0) {
      out.accept(
          finding(
              "%s is told to listen to %s, which misses %d channels of %s"
                  .formatted(controller.tag(), told(controller), missing, String.join(", ", dark)),
              Measure.count(missing, "channels missing"),
              Measure.words(
                  "universes %d to %d"
                      .formatted(
                          facts.block().firstUniverse().orElse(0),
                          facts.block().lastFlowingUniverse().orElse(0))),
              subjects));
    }
  }

  /** Channels of a placement that no input listens to. */
  private static int uncovered(Controller controller, Placement at) {
    if (at.start().isEmpty() || at.end().isEmpty()) {
      return 0;
    }
    UniverseChannel start = at.start().get();
    UniverseChannel end = at.end().get();
    int missing = 0;
    for (int u = start.universe(); u <= end.universe(); u++) {
      int first = u == start.universe() ? start.channel() : 1;
      int last = u == end.universe() ? end.channel() : controller.settings().universeSize();
      missing += Math.max(0, last - Math.max(first - 1, heard(controller, u)));
    }
    return missing;
  }

  /** How many channels of a universe the inputs listen to, from its first. */
  private static int heard(Controller controller, int universe) {
    int heard = 0;
    for (InputRange range : controller.inputs().orElseThrow()) {
      boolean inside =
          universe >= range.firstUniverse() && universe < range.firstUniverse() + range.count();
      heard = inside ? Math.max(heard, range.size()) : heard;
    }
    return heard;
  }

  private static String told(Controller controller) {
    List<String> ranges =
        controller.inputs().orElseThrow().stream()
            .map(
                range ->
                    "universes %d to %d of %d channels"
                        .formatted(
                            range.firstUniverse(),
                            range.firstUniverse() + range.count() - 1,
                            range.size()))
            .toList();
    return ranges.isEmpty() ? "nothing" : String.join(" and ", ranges);
  }
}
