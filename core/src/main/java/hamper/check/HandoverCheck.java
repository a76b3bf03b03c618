package hamper.check;

import hamper.change.MovedAddress;
import hamper.display.Controller;
import hamper.display.Plan;
import hamper.facts.Facts;
import hamper.handover.Handed;
import hamper.handover.Season;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Collectors;

/**
 * How devices stand to the plan, by what is known beside it. Before anything was given the season
 * has not begun, and nothing is found.
 */
abstract class HandoverCheck extends Check {
  /** More are not named one by one. */
  private static final int MOST_NAMED = 3;

  private static final int MOST_SUBJECTS = 50;

  HandoverCheck(String code, Severity severity, String title, String compares, String yard) {
    super(code, Area.HANDOVER, severity, title, compares, yard);
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    // nothing is known beside the plan
  }

  @Override
  void run(Facts facts, Season season, Consumer<Finding> out) {
    List<Controller> all = facts.plan().display().controllers();
    for (int i = 0; i < all.size(); i++) {
      Optional<Handed> handed = season.of(all.get(i).id());
      if (handed.isPresent() && !facts.plan().modelOf(all.get(i)).hostOnly()) {
        found(facts, season, i, handed.get()).ifPresent(out);
      }
    }
  }

  /**
   * What is found of a controller of which anything is known.
   *
   * @param index in the list, from 0
   */
  Optional<Finding> found(Facts facts, Season season, int index, Handed handed) {
    return Optional.empty();
  }

  static List<Subject> subjects(
      Plan plan, Optional<Controller> controller, List<MovedAddress> moved) {
    List<Subject> subjects = new ArrayList<>();
    controller.ifPresent(one -> subjects.add(Subject.controller(one.id())));
    moved.stream()
        .map(one -> one.is().piece())
        .distinct()
        .limit(MOST_SUBJECTS)
        .map(piece -> Subject.of(plan, piece))
        .forEach(subjects::add);
    return subjects;
  }

  static String named(List<String> all) {
    String few = all.stream().limit(MOST_NAMED).collect(Collectors.joining("; "));
    return all.size() > MOST_NAMED
        ? "%s; and %d more".formatted(few, all.size() - MOST_NAMED)
        : few;
  }
}
