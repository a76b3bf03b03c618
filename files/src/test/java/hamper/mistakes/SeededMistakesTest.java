package hamper.mistakes;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.advise.Remedies;
import hamper.check.Area;
import hamper.check.Check;
import hamper.check.Checks;
import hamper.check.Finding;
import hamper.check.Severity;
import hamper.check.Subject;
import hamper.display.Plan;
import hamper.display.Tagged;
import hamper.edit.Edit;
import hamper.facts.Facts;
import hamper.samples.Yard;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;

/** Every mistake is found, once, where it is; and on a correct display nothing is found. */
class SeededMistakesTest {
  private static int seeded;
  private static int correct;
  private static int remedies;

  @AfterAll
  static void tell() {
    System.out.printf(
        "%d displays with one seeded mistake each, %d correct displays, %d remedies tried%n",
        seeded, correct, remedies);
  }

  private static List<Mistake> all() {
    List<Mistake> all = new ArrayList<>(Mistakes.all());
    all.addAll(PowerMistakes.all());
    all.addAll(SiteMistakes.all());
    return all;
  }

  private static List<Finding> findings(Plan plan) {
    return Checks.all(Facts.of(plan));
  }

  @Test
  void thereIsAMistakeForEveryCheck() {
    Set<String> codes = new TreeSet<>();
    all().forEach(mistake -> codes.add(mistake.code()));
    assertThat(codes)
        .containsExactlyElementsOf(
            new TreeSet<>(
                Checks.ALL.stream()
                    .map(Check::page)
                    // what is known beside the plan: HandoverMistakesTest
                    .filter(page -> page.area() != Area.HANDOVER)
                    .map(page -> page.code())
                    .toList()));
    assertThat(codes).containsAll(remediesOfPlans());
  }

  private static Set<String> remediesOfPlans() {
    Set<String> codes = new TreeSet<>(Remedies.codes());
    Checks.ALL.stream()
        .map(Check::page)
        .filter(page -> page.area() == Area.HANDOVER)
        .forEach(page -> codes.remove(page.code()));
    return codes;
  }

  @TestFactory
  Stream<DynamicTest> onACorrectDisplayThereIsNoFaultAndNoRisk() {
    return Backgrounds.correct().entrySet().stream()
        .map(
            entry ->
                DynamicTest.dynamicTest(
                    entry.getKey(),
                    () -> {
                      correct++;
                      assertThat(findings(entry.getValue()))
                          .filteredOn(finding -> finding.severity() != Severity.HINT)
                          .extracting(Finding::message)
                          .isEmpty();
                    }));
  }

  @TestFactory
  Stream<DynamicTest> aMistakeIsFoundOnceWhereItIsAndItsRemediesClearIt() {
    return Backgrounds.three().entrySet().stream()
        .flatMap(
            entry -> {
              Set<Finding> before = Set.copyOf(findings(entry.getValue()));
              return all().stream()
                  .map(
                      mistake ->
                          DynamicTest.dynamicTest(
                              mistake.code() + " " + entry.getKey(),
                              () -> check(mistake, entry.getValue(), before)));
            });
  }

  /**
   * @param before what was found without the mistake
   */
  private static void check(Mistake mistake, Plan background, Set<Finding> before) {
    seeded++;
    Yard yard = Yard.on(background);
    mistake.make().accept(yard);
    Plan plan = yard.plan().with(Tagged.withAll(yard.plan())); // as the crew has labelled it
    Facts facts = Facts.of(plan);
    List<Finding> found = new ArrayList<>(Checks.all(facts));
    found.removeAll(before);
    assertThat(found).extracting(Finding::code).containsExactly(mistake.code());
    Finding finding = found.get(0);
    assertThat(subject(plan, finding.subjects().get(0))).isEqualTo(mistake.subject());
    if (!mistake.found().isEmpty()) {
      assertThat(finding.found().text()).isEqualTo(mistake.found());
    }
    if (!mistake.allowed().isEmpty()) {
      assertThat(finding.allowed().text()).isEqualTo(mistake.allowed());
    }
    assertThat(finding.message()).isNotBlank();
    List<Edit> offered = Remedies.of(facts, finding);
    if (Remedies.codes().contains(mistake.code())) {
      assertThat(offered).as("remedies of %s", finding.message()).isNotEmpty();
    }
    for (Edit remedy : offered) {
      remedies++;
      Edit.Applied done = remedy.applyTo(plan);
      List<Finding> after = findings(done.plan());
      assertThat(after).as(remedy.toString()).doesNotContain(finding);
      assertThat(after)
          .as(remedy.toString())
          .filteredOn(one -> one.severity() == Severity.FAULT)
          .isSubsetOf(before);
      assertThat(done.inverse().applyTo(done.plan()).plan().display()).isEqualTo(plan.display());
      assertThat(labels(done.plan())).as(remedy.toString()).containsAll(labels(plan));
    }
  }

  /** What is written on strings, cables and leads. */
  private static Set<String> labels(Plan plan) {
    Set<String> labels = new TreeSet<>();
    plan.display().workshop().tags().forEach(tag -> labels.add(tag.text()));
    plan.runs()
        .flatMap(run -> run.run().legs().stream())
        .flatMap(leg -> leg.feeds().stream())
        .flatMap(feed -> feed.tag().stream())
        .forEach(labels::add);
    return labels;
  }

  /** A piece, else a port as on its cable tag, else a controller. */
  private static String subject(Plan plan, Subject subject) {
    return subject
        .piece()
        .or(() -> subject.port().map(plan::written))
        .or(subject::controller)
        .or(() -> subject.part().map(Subject.Part::id))
        .orElseThrow();
  }
}
