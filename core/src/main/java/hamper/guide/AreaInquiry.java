package hamper.guide;

import hamper.display.Controller;
import hamper.display.Plan;
import hamper.display.Supply;
import hamper.facts.ControllerFacts;
import hamper.facts.RunFacts;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/** A whole area is dark: what do the dead ones share, and the living ones not? */
final class AreaInquiry {
  /** Something that several depend on, by what it is and its id; with what to do about it. */
  private record Shared(String id, String title, String act) {}

  private AreaInquiry() {}

  static Inquiry of(SupposedString at) {
    Plan plan = at.facts().plan();
    String title = at.leg().at().title();
    Map<String, Shared> mine = shared(plan, at.controller(), at.run());
    Map<Set<String>, RunFacts> others = new LinkedHashMap<>();
    for (ControllerFacts own : at.facts().controllers()) {
      for (RunFacts run : own.runs()) {
        if (run.run().carriesPixels() && !run.port().equals(at.run().port())) {
          Set<String> both = new TreeSet<>(shared(plan, own.controller(), run).keySet());
          both.retainAll(mine.keySet());
          others.putIfAbsent(both, run);
        }
      }
    }
    List<Question> questions = new ArrayList<>();
    Map<String, Set<String>> depends = new LinkedHashMap<>();
    others.forEach(
        (both, run) -> {
          String id = "lights-" + run.run().legs().get(0).leg().piece();
          String ask =
              "Does %s on %s light?"
                  .formatted(run.run().legs().get(0).at().title(), run.run().written());
          questions.add(Question.of(id, 0, ask, new Doing.Look(), "yes", "yes", "no", "no"));
          depends.put(id, both);
        });
    List<Cause> causes = new ArrayList<>();
    mine.values()
        .forEach(
            one -> {
              Cause cause = Cause.of(one.id(), one.title(), one.act());
              for (var question : depends.entrySet()) {
                cause =
                    cause.answers(
                        question.getKey(), question.getValue().contains(one.id()) ? "no" : "yes");
              }
              causes.add(cause);
            });
    Cause alone =
        Cause.of(
            "alone",
            "Only what hangs on %s is dark".formatted(at.run().run().written()),
            "Take the guide \"nothing lights\" for %s.".formatted(title));
    for (String question : depends.keySet()) {
      alone = alone.answers(question, "yes");
    }
    causes.add(alone);
    return new Inquiry(GuideKind.AREA_DARK, questions, causes);
  }

  private static Map<String, Shared> shared(Plan plan, Controller controller, RunFacts run) {
    Map<String, Shared> found = new LinkedHashMap<>();
    add(
        found,
        "controller " + controller.id(),
        "%s gives out nothing".formatted(controller.tag()),
        "Take the guide \"nothing lights\" for it.");
    run.supply()
        .map(plan::existingSupply)
        .ifPresent(
            supply -> {
              add(
                  found,
                  "supply " + supply.id(),
                  "Supply %s gives nothing".formatted(supply.name()),
                  "Look at its switch, its fuse and its lamp.");
              mains(plan, supply, found);
            });
    controller
        .settings()
        .enclosure()
        .flatMap(id -> plan.enclosures().find(id))
        .ifPresent(
            enclosure ->
                add(
                    found,
                    "enclosure " + enclosure.id(),
                    "Enclosure %s is cut off: its switch, or the cable to it"
                        .formatted(enclosure.name()),
                    "Look at the lamps of its switch, then at the cable to it, end by end."));
    controller
        .settings()
        .source()
        .flatMap(plan::controller)
        .ifPresent(
            source ->
                add(
                    found,
                    "source " + source.id(),
                    "%s, which sends to it, does not".formatted(source.tag()),
                    "See whether it runs, sends, and by which adapter."));
    return found;
  }

  private static void mains(Plan plan, Supply supply, Map<String, Shared> found) {
    Optional<String> mains = supply.mains();
    mains
        .flatMap(id -> plan.mains().find(id))
        .ifPresent(
            circuit ->
                add(
                    found,
                    "mains " + circuit.id(),
                    "Mains circuit %s is off: its breaker, or the residual-current breaker before it"
                        .formatted(circuit.name()),
                    "Find what made it fall, most often water, before you switch it on again."));
  }

  private static void add(Map<String, Shared> found, String id, String title, String act) {
    found.put(id, new Shared(id, title, act));
  }
}
