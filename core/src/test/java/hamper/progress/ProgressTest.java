package hamper.progress;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hamper.address.Protocol;
import hamper.catalog.PortKind;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.edit.PatchPieces;
import hamper.progress.Progress.StringAt;
import hamper.progress.StringFact.Condition;
import hamper.progress.StringFact.Reached;
import hamper.progress.StringFact.Settled;
import hamper.progress.StringFact.Stored;
import hamper.progress.StringFact.Trouble;
import hamper.progress.StringFact.Urgency;
import hamper.progress.StringFact.What;
import hamper.sample.Samples;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What is so now follows from what happened and from the plan. */
class ProgressTest {
  private static final Trouble DARK =
      new Trouble("dark from pixel 20", Urgency.TONIGHT, "Ada", Optional.empty());

  private Plan plan;
  private String piece;
  private PortRef port;
  private final List<StringFact> facts = new ArrayList<>();

  @BeforeEach
  void aStringOnAPort() {
    plan =
        Samples.plan(
            List.of(Samples.string("a", 10)),
            Samples.controller("k", Protocol.E131, Samples.run(1, "a")));
    piece = plan.pixelRuns().findFirst().orElseThrow().legs().get(0).at().piece().id();
    port = plan.leg(piece).orElseThrow().port();
  }

  private void happened(What what) {
    facts.add(new StringFact(piece, Instant.ofEpochSecond(1000 + facts.size()), "Bo", what));
  }

  private void reached(Stage stage) {
    happened(new Reached(stage, Optional.of(Progress.key(port))));
  }

  private StringAt now(Set<String> seen) {
    return Progress.of(plan, facts, seen).of(piece).orElseThrow();
  }

  private StringAt now() {
    return now(Set.of());
  }

  @Test
  void stagesAreReachedAndTakenBack() {
    assertThat(now().stage()).isEqualTo(Stage.PLANNED);
    assertThat(now().since()).isEmpty();
    for (Stage stage : List.of(Stage.TESTED, Stage.HUNG, Stage.PLUGGED_IN, Stage.POWERED)) {
      reached(stage);
      assertThat(now().stage()).isEqualTo(stage);
      assertThat(now().by()).isEqualTo("Bo");
    }
    reached(Stage.HUNG);
    assertThat(now().stage()).isEqualTo(Stage.HUNG);
    assertThat(now().open()).isTrue();
  }

  @Test
  void seenRightIsThePersonsWordAndLapsesWithIt() {
    reached(Stage.SEEN_RIGHT);
    assertThat(now().stage()).isEqualTo(Stage.POWERED);
    assertThat(now(Set.of(piece)).stage()).isEqualTo(Stage.SEEN_RIGHT);
    assertThat(now(Set.of(piece)).open()).isFalse();
  }

  @Test
  void whatWasPluggedInElsewhereIsOnlyHung() {
    reached(Stage.POWERED);
    PortRef other = new PortRef(port.controller(), PortKind.PIXEL, port.port() + 1);
    plan = new PatchPieces(List.of(piece), other, Optional.empty()).applyTo(plan).plan();
    assertThat(now().stage()).isEqualTo(Stage.HUNG);
    assertThat(now().elsewhere()).isTrue();
    plan = new PatchPieces(List.of(piece), port, Optional.empty()).applyTo(plan).plan();
    assertThat(now().stage()).isEqualTo(Stage.POWERED);
    assertThat(now().elsewhere()).isFalse();
  }

  @Test
  void troubleComesFromAnyStageAndIsSettledWithoutLosingIt() {
    reached(Stage.POWERED);
    happened(DARK);
    assertThat(now().trouble()).contains(DARK);
    assertThat(now(Set.of(piece)).open()).as("seen right, and in trouble").isTrue();
    happened(new Settled());
    assertThat(now().trouble()).isEmpty();
    assertThat(now().stage()).isEqualTo(Stage.POWERED);
    assertThatThrownBy(() -> new Trouble(" ", Urgency.SOON, "", Optional.empty()))
        .hasMessageContaining("say what is wrong");
  }

  @Test
  void whatIsPutAwayBeginsAnewWhenItIsTestedNextYear() {
    reached(Stage.POWERED);
    happened(DARK);
    happened(new Stored(Condition.REPAIR, "box 12"));
    assertThat(now().stage()).isEqualTo(Stage.PLANNED);
    assertThat(now().trouble()).isEmpty();
    assertThat(now().stored()).contains(new Stored(Condition.REPAIR, "box 12"));
    reached(Stage.TESTED);
    assertThat(now().stored()).isEmpty();
    assertThat(now().stage()).isEqualTo(Stage.TESTED);
  }
}
