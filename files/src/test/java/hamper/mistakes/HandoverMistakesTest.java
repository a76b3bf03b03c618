package hamper.mistakes;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.advise.Remedies;
import hamper.change.AddressAt;
import hamper.change.Comparison;
import hamper.check.Area;
import hamper.check.Check;
import hamper.check.Checks;
import hamper.check.Finding;
import hamper.config.Configuration;
import hamper.config.Configurations;
import hamper.config.Output;
import hamper.display.Controller;
import hamper.display.Plan;
import hamper.edit.Change;
import hamper.edit.Edit;
import hamper.edit.SectionChange;
import hamper.edit.SetSections;
import hamper.facts.Facts;
import hamper.handover.HandoverFact;
import hamper.handover.HandoverFact.Kind;
import hamper.handover.HandoverFact.Means;
import hamper.handover.Season;
import hamper.resolve.Resolver;
import hamper.samples.Yard;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.BiFunction;
import org.junit.jupiter.api.Test;

/** What is known beside a plan is held against it: each mistake is found once, where it is. */
class HandoverMistakesTest {
  private static final String ID = "hm";
  private static final Set<String> FOUND = new TreeSet<>();

  /** A plan and what is known beside it. */
  private record Case(Plan plan, Season season) {}

  private static Set<String> handoverCodes() {
    Set<String> codes = new TreeSet<>();
    Checks.ALL.stream()
        .map(Check::page)
        .filter(page -> page.area() == Area.HANDOVER)
        .forEach(page -> codes.add(page.code()));
    return codes;
  }

  private static List<Finding> found(Case of) {
    return Checks.all(Facts.of(of.plan()), of.season()).stream()
        .filter(finding -> finding.area() == Area.HANDOVER)
        .toList();
  }

  private static HandoverFact fact(
      Plan plan, int index, Kind kind, String revision, Optional<Configuration> told) {
    var resolution = Resolver.resolve(plan);
    return new HandoverFact(
        plan.display().controllers().get(index).id(),
        Instant.EPOCH,
        "Ada",
        kind,
        Means.NETWORK,
        1,
        "SN-1",
        revision,
        "it says so",
        told,
        AddressAt.of(plan, resolution, index));
  }

  private static Optional<Configuration> told(Plan plan, int index) {
    return Optional.of(Configurations.of(plan, Resolver.resolve(plan), index));
  }

  /** All that can be given, as it is planned. */
  private static Season given(Plan plan) {
    List<HandoverFact> facts = new ArrayList<>();
    for (int i = 0; i < plan.display().controllers().size(); i++) {
      Controller one = plan.display().controllers().get(i);
      if (!plan.modelOf(one).hostOnly()) {
        facts.add(fact(plan, i, Kind.GIVEN, plan.modelOf(one).revision(), told(plan, i)));
      }
    }
    return Season.of(
        facts,
        Optional.of(
            new Season.Frozen("Opening", new Comparison.Side(plan, Resolver.resolve(plan)))));
  }

  @Test
  void onCorrectDisplaysThatWereGivenNothingIsFound() {
    for (Map.Entry<String, Plan> one : Backgrounds.correct().entrySet()) {
      assertThat(found(new Case(one.getValue(), given(one.getValue())))).as(one.getKey()).isEmpty();
      assertThat(found(new Case(one.getValue(), Season.NONE))).as(one.getKey()).isEmpty();
    }
  }

  @Test
  void eachMistakeIsFoundOnceWhereItIs() {
    seed("never-given", (plan, index) -> new Case(plan, without(given(plan), plan, index)));
    seed(
        "device-refused",
        (plan, index) ->
            new Case(
                plan, given(plan).with(fact(plan, index, Kind.REFUSED, "", Optional.empty()))));
    seed(
        "old-revision",
        (plan, index) ->
            new Case(
                plan, given(plan).with(fact(plan, index, Kind.GIVEN, "1", told(plan, index)))));
    seed(
        "outputs-left",
        (plan, index) ->
            new Case(
                plan,
                given(plan)
                    .with(
                        fact(
                            plan,
                            index,
                            Kind.DIFFERENT,
                            "2",
                            told(plan, index).map(HandoverMistakesTest::withOneMore)))));
    seed("stale", (plan, index) -> new Case(plan.with(grow("hm-b").change(plan)), given(plan)));
    seed(
        "starts-moved",
        (plan, index) -> new Case(plan.with(grow("hm-a").change(plan)), given(plan)));
    seed(
        "moved-since-milestone",
        (plan, index) -> new Case(plan.with(grow("hm-a").change(plan)), given(plan)));
    assertThat(FOUND).containsExactlyElementsOf(handoverCodes());
  }

  private static Season without(Season season, Plan plan, int index) {
    return season.with(fact(plan, index, Kind.REPLACED, "", Optional.empty()));
  }

  private static Configuration withOneMore(Configuration told) {
    List<Output> outputs = new ArrayList<>(told.outputs());
    Output unused = outputs.get(outputs.size() - 1);
    assertThat(unused.used()).isFalse();
    outputs.set(
        outputs.size() - 1,
        new Output(
            unused.kind(),
            unused.port(),
            unused.label(),
            true,
            outputs.get(0).start(),
            50,
            outputs.get(0).pixelType(),
            outputs.get(0).channelsPerPixel(),
            outputs.get(0).options(),
            outputs.get(0).sections()));
    return new Configuration(
        told.display(),
        told.controller(),
        told.tag(),
        told.name(),
        told.model(),
        told.modelTitle(),
        told.mode(),
        told.protocol(),
        told.transport(),
        told.address(),
        told.packing(),
        told.ownStorage(),
        told.inputs(),
        outputs,
        told.untold());
  }

  /** Of two, the first draws the other after it. */
  private static Edit grow(String piece) {
    return new SetSections(
        List.of(new SetSections.At(piece, 0)),
        new SectionChange(
            Change.to(35),
            Change.stays(),
            Change.stays(),
            Change.stays(),
            Change.stays(),
            Change.stays(),
            Change.stays(),
            Change.stays()));
  }

  private static void seed(String code, BiFunction<Plan, Integer, Case> mistake) {
    for (Map.Entry<String, Plan> background : Backgrounds.three().entrySet()) {
      Plan plan =
          Yard.on(background.getValue())
              .controller(ID, "ostrand-twelve")
              .string("hm-a", ID, 1, 40)
              .string("hm-b", ID, 2, 40)
              .controller("hn", "ostrand-twelve")
              .string("hn-a", "hn", 1, 40)
              .plan();
      Case made = mistake.apply(plan, plan.indexOf(ID));
      List<Finding> of = new ArrayList<>(found(made));
      String where = code + " " + background.getKey();
      List<Finding> these = of.stream().filter(one -> one.code().equals(code)).toList();
      assertThat(these).as(where).hasSize(1);
      Finding finding = these.get(0);
      assertThat(finding.message()).as(where).isNotBlank();
      assertThat(
              finding.subjects().stream()
                  .anyMatch(
                      subject ->
                          subject.controller().filter(ID::equals).isPresent()
                              || subject.piece().filter("hm-b"::equals).isPresent()))
          .as(where)
          .isTrue();
      // a move is stale, moved, and moved since the milestone; nothing else is found with it
      Set<String> others = new HashSet<>(handoverCodes());
      others.removeAll(Set.of("stale", "starts-moved", "moved-since-milestone"));
      others.remove(code);
      assertThat(of).as(where).extracting(Finding::code).doesNotContainAnyElementsOf(others);
      if (Remedies.codes().contains(code)) {
        Facts facts = Facts.of(made.plan());
        List<Edit> remedies = Remedies.of(facts, made.season(), finding);
        assertThat(remedies).as(where).isNotEmpty();
        Plan after = made.plan().with(remedies.get(0).change(made.plan()));
        assertThat(found(new Case(after, made.season())))
            .as(where)
            .extracting(Finding::code)
            .doesNotContain(code);
      }
      FOUND.add(code);
    }
  }
}
