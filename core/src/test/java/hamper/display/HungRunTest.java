package hamper.display;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hamper.address.Protocol;
import hamper.catalog.PortKind;
import hamper.sample.Samples;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Where the legs of a run lie along its wire. */
class HungRunTest {
  private static HungRun run(Leg... legs) {
    Plan plan =
        Samples.plan(
            List.of(Samples.string("a", 50), Samples.string("b", 30), Samples.string("c", 20)),
            Samples.controller("k", Protocol.E131)
                .withRun(Run.of(PortKind.PIXEL, 3, List.of(legs))));
    return plan.runsOf(plan.existingController("k")).get(0);
  }

  private static Leg gap(String piece, int nulls) {
    return Leg.of(piece).withGap(nulls, Optional.empty(), Optional.empty());
  }

  @Test
  void eachLegBeginsWhereTheOneBeforeEndsAfterItsGap() {
    HungRun run = run(Leg.of("a"), gap("b", 3), Leg.of("c"));
    assertThat(run.legs()).extracting(HungLeg::before).containsExactly(0, 50, 83);
    assertThat(run.legs()).extracting(HungLeg::start).containsExactly(0, 53, 83);
    assertThat(run.legs()).extracting(HungLeg::end).containsExactly(50, 83, 103);
    assertThat(run.places()).isEqualTo(103);
    assertThat(run.port()).isEqualTo(new PortRef("k", PortKind.PIXEL, 3));
  }

  @Test
  void aPlaceIsOfTheLegOnItAndAGapOfWhatFollows() {
    HungRun run = run(Leg.of("a"), gap("b", 3), Leg.of("c"));
    assertThat(List.of(1, 50, 51, 53, 54, 83, 84, 103))
        .extracting(place -> run.at(place).leg().piece())
        .containsExactly("a", "a", "b", "b", "b", "b", "c", "c");
    assertThatThrownBy(() -> run.at(104)).hasMessageContaining("place 104 of 103");
    assertThatThrownBy(() -> run.at(0)).hasMessageContaining("place 0 of 103");
  }

  @Test
  void anotherBoxIsAnotherSocket() {
    HungRun run = run(Leg.of("a"), Leg.of("b"), Leg.of("c"));
    assertThat(run.legs()).extracting(HungLeg::socket).containsExactly(true, false, false);
    assertThat(run.carriesPixels()).isTrue();
  }
}
