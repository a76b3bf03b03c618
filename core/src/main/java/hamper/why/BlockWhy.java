package hamper.why;

import hamper.check.Subject;
import hamper.display.Controller;
import hamper.facts.Facts;
import hamper.resolve.ControllerBlock;
import hamper.why.Why.Fold;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Why a controller's universes and display channels are where they are, and what it is sent. */
final class BlockWhy {
  private final Facts facts;
  private final int index;
  private final Controller controller;
  private final ControllerBlock block;

  private BlockWhy(Facts facts, int index) {
    this.facts = facts;
    this.index = index;
    this.controller = facts.plan().display().controllers().get(index);
    this.block = facts.resolution().blocks().get(index);
  }

  static BlockWhy of(Facts facts, int index) {
    return new BlockWhy(facts, index);
  }

  private static Subject subject(Controller controller) {
    return Subject.controller(controller.id());
  }

  List<Why> firstUniverse() {
    if (block.firstUniverse().isEmpty()) {
      return List.of();
    }
    int first = block.firstUniverse().get();
    Optional<Integer> fixed = controller.settings().firstUniverse();
    List<Term> terms =
        fixed.isPresent()
            ? List.of(Term.of("fixed by hand", fixed.get()).at(subject(controller)))
            : assigned(first);
    return List.of(
        new Why(
            "First universe of " + controller.tag(),
            first,
            "universe",
            "universe %d".formatted(first),
            Fold.SUM,
            fixed.isPresent()
                ? "it is fixed, and others make way"
                : "behind the controllers before it in the list that have none fixed; the next step of %d that is free"
                    .formatted(facts.plan().display().settings().universeStride()),
            terms));
  }

  /** Controllers before it without a fixed one, and what is left out between them. */
  private List<Term> assigned(int first) {
    List<Term> terms = new ArrayList<>();
    int next = facts.plan().display().settings().firstUniverse();
    int skipped = 0;
    terms.add(Term.of("first universe of the display", next));
    for (int i = 0; i < index; i++) {
      Controller before = facts.plan().display().controllers().get(i);
      ControllerBlock its = facts.resolution().blocks().get(i);
      boolean counts =
          its.firstUniverse().isPresent() && before.settings().firstUniverse().isEmpty();
      if (counts) {
        int from = its.firstUniverse().get();
        int end = endOf(i, before, its);
        skipped += from - next;
        terms.add(
            Term.of(before.tag() + " " + before.name(), end - from)
                .at(subject(before))
                .asking(Question.ofController(Question.Kind.UNIVERSES, before.id())));
        next = end;
      }
    }
    skipped += first - next;
    if (skipped != 0) {
      terms.add(
          Term.of("left out", skipped)
              .noted(
                  "steps of %d, and universes that are fixed or held are jumped over"
                      .formatted(facts.plan().display().settings().universeStride())));
    }
    return terms;
  }

  /** Behind its last universe that is not held. */
  private int endOf(int place, Controller of, ControllerBlock its) {
    int end = its.firstUniverse().orElseThrow() + its.flowingUniverses();
    for (var run : facts.controllers().get(place).runs()) {
      Integer universe = its.dmxUniverses().get(run.port());
      if (universe != null && run.run().run().universe().isEmpty()) {
        end = Math.max(end, universe + 1);
      }
    }
    return end;
  }

  List<Why> universes() {
    if (!controller.protocol().usesUniverses() || block.universes() == 0) {
      return List.of();
    }
    int size = controller.settings().universeSize();
    int used = (block.usedChannels() + size - 1) / size;
    int kept = controller.settings().reserveUniverses();
    List<Why> answers = new ArrayList<>();
    answers.add(
        new Why(
            "Universes of " + controller.tag() + " that flow",
            block.flowingUniverses(),
            "universe",
            Words.count(block.flowingUniverses(), "universe"),
            Fold.GREATEST,
            "as many as its channels need, but no fewer than are kept for it",
            List.of(
                Term.of("needed", used)
                    .noted("%,d channels, %d in each".formatted(block.usedChannels(), size)),
                Term.of("kept for it", kept).at(subject(controller)))));
    answers.add(
        new Why(
            "Universes of " + controller.tag(),
            block.universes(),
            "universe",
            Words.count(block.universes(), "universe"),
            Fold.SUM,
            "each DMX port in use has a universe of its own",
            List.of(
                Term.of("that flow", block.flowingUniverses()),
                Term.of("DMX ports in use", block.dmxPorts().size()))));
    return answers;
  }

  List<Why> displayStart() {
    if (block.displayStart() == 0) {
      return List.of();
    }
    List<Term> terms = new ArrayList<>(List.of(Term.of("counted from", 1)));
    for (int i = 0; i < index; i++) {
      ControllerBlock before = facts.resolution().blocks().get(i);
      Controller its = facts.plan().display().controllers().get(i);
      if (before.channels() > 0) {
        terms.add(Term.of(its.tag() + " " + its.name(), before.channels()).at(subject(its)));
      }
    }
    return List.of(
        new Why(
            "First display channel of " + controller.tag(),
            block.displayStart(),
            "channel",
            "display channel %,d".formatted(block.displayStart()),
            Fold.SUM,
            "blocks lie one after another in list order, with what is kept free",
            terms));
  }
}
