package hamper.why;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hamper.catalog.Catalog;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.facts.Facts;
import hamper.files.CatalogueFiles;
import hamper.files.DisplayFile;
import hamper.resolve.Placement;
import hamper.samples.RandomEdits;
import hamper.samples.RandomYards;
import hamper.samples.Trial;
import hamper.value.RefusedException;
import hamper.why.Question.Kind;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/**
 * Every number of random displays answers "why?", and its terms make it: a {@link Why} whose terms
 * do not cannot be. What an answer says of addresses is held against the resolution besides.
 */
@Tag("trial")
class WhyTest {
  private static final Catalog CATALOG = CatalogueFiles.shipped();
  private static final int DISPLAYS = Trial.size(300, 1_000);
  private static final int EVENINGS = Trial.size(10, 25);
  private static final int EDITS = 40;
  private static final Path DEMO =
      Path.of("../server/src/main/resources/hamper/demo/saltmarsh-quay.hamper.json");

  private final Map<Kind, Integer> numbers = new EnumMap<>(Kind.class);
  private int terms;

  @Test
  void theTermsOfEveryNumberMakeIt() {
    for (int seed = 1; seed <= DISPLAYS; seed++) {
      Facts facts = Facts.of(RandomYards.of(CATALOG, seed));
      askAll(facts);
    }
    int yards = numbers.values().stream().mapToInt(n -> n).sum();
    // and the demo after random edits: zones with places, supplies, mains, remote boxes, walls
    for (int seed = 1; seed <= EVENINGS; seed++) {
      RandomEdits edits = new RandomEdits(seed);
      Plan plan = demo();
      for (int i = 0; i < EDITS; i++) {
        plan = edits.next(plan).applyTo(plan).plan();
      }
      askAll(Facts.of(plan));
    }
    System.out.printf(
        "[why] %d displays, %d numbers; with %d evenings %d numbers, %d terms: %s%n",
        DISPLAYS,
        yards,
        EVENINGS,
        numbers.values().stream().mapToInt(n -> n).sum(),
        terms,
        numbers);
    assertThat(numbers.keySet())
        .as("every kind of number")
        .containsExactlyInAnyOrder(Kind.values());
  }

  private void askAll(Facts facts) {
    for (Question question : all(facts)) {
      List<Why> answers = Answers.of(facts, question);
      for (Why why : answers) {
        numbers.merge(question.kind(), 1, Integer::sum);
        terms += why.terms().size();
        assertThat(why.terms()).as(why.of()).isNotEmpty();
        why.terms().stream()
            .flatMap(term -> term.from().stream())
            .forEach(next -> assertThat(Answers.of(facts, next)).as("%s", next).isNotEmpty());
        leavesOutNoMoreThanItMust(why);
      }
    }
    facts.resolution().placements().forEach(at -> standsThere(facts, at));
  }

  /** A rest that nobody explains would always make the sum: it is no larger than a universe. */
  private static void leavesOutNoMoreThanItMust(Why why) {
    for (Term term : why.terms()) {
      if (term.label().startsWith("left out, so that no pixel")) {
        assertThat(term.amount()).as("%s", why).isBetween(1.0, 512.0 * 20);
      } else if (term.label().startsWith("left o")) {
        assertThat(term.amount()).as("%s", why).isPositive();
      }
    }
  }

  private static void standsThere(Facts facts, Placement at) {
    List<Why> answers =
        Answers.of(facts, Question.ofPiece(Kind.START, at.piece(), at.section() + 1));
    if (at.start().isPresent()) {
      assertThat(answers.stream().map(Why::written)).contains(at.start().get().toString());
    }
    at.controllerChannels()
        .ifPresent(span -> assertThat(answers.get(1).value()).isEqualTo(span.start()));
    if (at.displayStart() > 0) {
      assertThat(answers.get(answers.size() - 1).value()).isEqualTo(at.displayStart());
    }
  }

  private static List<Question> all(Facts facts) {
    List<Question> all = new ArrayList<>();
    for (Kind kind : Kind.values()) {
      switch (kind.of()) {
        case CONTROLLER ->
            facts
                .plan()
                .display()
                .controllers()
                .forEach(one -> all.add(Question.ofController(kind, one.id())));
        case PORT -> facts.loads().forEach(load -> all.add(Question.ofPort(kind, load.port())));
        case PIECE -> facts.plan().display().props().forEach(prop -> pieces(kind, prop, all));
        case PART -> {
          if (kind == Kind.SUPPLY_AMPS) {
            facts.plan().supplies().all().forEach(one -> all.add(Question.ofPart(kind, one.id())));
          } else {
            facts.plan().mains().all().forEach(one -> all.add(Question.ofPart(kind, one.id())));
          }
        }
      }
    }
    return all;
  }

  private static void pieces(Kind kind, Prop prop, List<Question> all) {
    prop.pieces()
        .forEach(
            piece -> {
              int sections =
                  kind == Kind.START && piece instanceof PixelString string
                      ? string.sections().size()
                      : 1;
              for (int i = 1; i <= sections; i++) {
                all.add(Question.ofPiece(kind, piece.id(), i));
              }
            });
  }

  @Test
  void theDemoIsExplainedAsSomebodyWouldCount() {
    Facts facts = Facts.of(demo());
    Why start = Answers.of(facts, Question.ofPiece(Kind.START, "gangway-rail-1", 1)).get(1);
    assertThat(start.terms().get(0).label()).isEqualTo("the first channel");
    assertThat(start.terms().stream().map(Term::label)).anyMatch(label -> label.startsWith("K1-1"));
    assertThat(start.terms().stream().skip(1).allMatch(term -> term.amount() > 0)).isTrue();
  }

  private static Plan demo() {
    try {
      return DisplayFile.read(Files.readAllBytes(DEMO), CATALOG);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  @Test
  void aSumThatIsNoneCannotBe() {
    assertThatThrownBy(
            () -> new Why("x", 3, "A", "3 A", Why.Fold.SUM, "", List.of(Term.of("one", 1))))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("x is 3");
  }

  @Test
  void whatIsNotThereIsSaid() {
    Facts facts = Facts.of(RandomYards.of(CATALOG, 1));
    assertThatThrownBy(() -> Answers.of(facts, Question.ofPiece(Kind.START, "nobody", 1)))
        .isInstanceOf(RefusedException.class);
    assertThatThrownBy(
            () ->
                new Question(
                    Kind.AMPS,
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty()))
        .isInstanceOf(RefusedException.class);
  }
}
