package hamper.progress;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.address.Protocol;
import hamper.catalog.PortKind;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.progress.Claim.Verdict;
import hamper.progress.Progress.StringAt;
import hamper.progress.StringFact.Condition;
import hamper.progress.StringFact.Noted;
import hamper.progress.StringFact.Reached;
import hamper.progress.StringFact.Settled;
import hamper.progress.StringFact.Stored;
import hamper.progress.StringFact.Trouble;
import hamper.progress.StringFact.Urgency;
import hamper.progress.StringFact.What;
import hamper.sample.Samples;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Two who were out of reach of each other agree, whatever comes first. */
class ClaimTest {
  private static final Trouble DARK = new Trouble("dark", Urgency.TONIGHT, "", Optional.empty());

  private final Plan plan =
      Samples.plan(
          List.of(Samples.string("a", 10)),
          Samples.controller("k", Protocol.E131, Samples.run(1, "a")));
  private final String piece =
      plan.pixelRuns().findFirst().orElseThrow().legs().get(0).at().piece().id();
  private final Optional<String> socket =
      Optional.of(Progress.key(plan.leg(piece).orElseThrow().port()));
  private final List<StringFact> known = new ArrayList<>();

  private StringAt now() {
    return Progress.of(plan, known, Set.of()).of(piece).orElseThrow();
  }

  private Verdict said(int second, What what, boolean back) {
    Claim claim = new Claim(new StringFact(piece, Instant.ofEpochSecond(second), "Bo", what), back);
    Verdict verdict = claim.against(now(), known);
    if (verdict == Verdict.TAKEN) {
      known.add(claim.fact());
      known.sort(Comparator.comparing(StringFact::at));
    }
    return verdict;
  }

  private Verdict reached(int second, Stage stage) {
    return said(second, new Reached(stage, socket), false);
  }

  private Verdict back(int second, Stage stage) {
    return said(second, new Reached(stage, socket), true);
  }

  @Test
  void whoSaysTheSameAgreesWhoeverCameFirst() {
    assertThat(reached(20, Stage.HUNG)).isEqualTo(Verdict.TAKEN);
    assertThat(reached(10, Stage.HUNG)).isEqualTo(Verdict.AGREED);
    assertThat(reached(30, Stage.HUNG)).isEqualTo(Verdict.AGREED);
    assertThat(reached(40, Stage.TESTED)).as("less than is known").isEqualTo(Verdict.AGREED);
    assertThat(known).hasSize(1);
  }

  @Test
  void whatIsKnownOfALaterTimeStands() {
    reached(10, Stage.POWERED);
    assertThat(back(30, Stage.HUNG)).isEqualTo(Verdict.TAKEN);
    assertThat(reached(20, Stage.PLUGGED_IN)).isEqualTo(Verdict.OVERTAKEN);
    assertThat(now().stage()).isEqualTo(Stage.HUNG);
    assertThat(back(25, Stage.TESTED)).isEqualTo(Verdict.OVERTAKEN);
    assertThat(reached(40, Stage.PLUGGED_IN)).isEqualTo(Verdict.TAKEN);
    assertThat(back(50, Stage.SEEN_RIGHT)).as("it is not so far").isEqualTo(Verdict.AGREED);
  }

  @Test
  void whatWasTickedOnAnotherPortCountsForThatPort() {
    String other = Progress.key(new PortRef("k", PortKind.PIXEL, 9));
    Reached there = new Reached(Stage.PLUGGED_IN, Optional.of(other));
    assertThat(said(10, there, false)).isEqualTo(Verdict.TAKEN);
    assertThat(now().elsewhere()).isTrue();
    assertThat(now().stage()).isEqualTo(Stage.HUNG);
    assertThat(said(20, there, false)).isEqualTo(Verdict.AGREED);
    assertThat(reached(30, Stage.PLUGGED_IN)).isEqualTo(Verdict.TAKEN);
    assertThat(now().elsewhere()).isFalse();
  }

  @Test
  void troubleIsToldOnceAndSettledOnlyByWhoKnewOfIt() {
    assertThat(said(10, new Settled(), false)).isEqualTo(Verdict.AGREED);
    assertThat(said(20, DARK, false)).isEqualTo(Verdict.TAKEN);
    assertThat(said(25, DARK, false)).isEqualTo(Verdict.AGREED);
    assertThat(said(15, new Settled(), false)).isEqualTo(Verdict.OVERTAKEN);
    assertThat(said(30, new Settled(), false)).isEqualTo(Verdict.TAKEN);
    assertThat(now().trouble()).isEmpty();
    Noted note = new Noted("behind the gutter", Optional.empty());
    assertThat(said(5, note, false)).isEqualTo(Verdict.TAKEN);
    assertThat(now().note()).contains(note);
    known.add(
        new StringFact(
            piece, Instant.ofEpochSecond(60), "Bo", new Stored(Condition.GOOD, "shelf 2")));
    assertThat(now().note()).as("of the last season").isEmpty();
    assertThat(reached(50, Stage.HUNG)).isEqualTo(Verdict.OVERTAKEN);
  }

  /** Upward ticks of several phones come to the same in whatever order they arrive. */
  @Test
  void upwardTicksComeToTheSameInAnyOrder() {
    for (int seed = 0; seed < 500; seed++) {
      Random random = new Random(seed);
      List<int[]> ticks = new ArrayList<>();
      for (int i = 0; i < 6; i++) {
        // by one clock a higher stage is never earlier than a lower one
        int stage = 1 + random.nextInt(4);
        ticks.add(new int[] {stage * 100 + random.nextInt(100), stage});
      }
      Stage most = Stage.values()[ticks.stream().mapToInt(tick -> tick[1]).max().orElseThrow()];
      for (int order = 0; order < 4; order++) {
        known.clear();
        java.util.Collections.shuffle(ticks, random);
        ticks.forEach(tick -> reached(tick[0], Stage.values()[tick[1]]));
        assertThat(now().stage()).as("seed %d", seed).isEqualTo(most);
      }
    }
  }
}
