package hamper.load;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hamper.address.Protocol;
import hamper.catalog.Gauge;
import hamper.catalog.PortKind;
import hamper.display.Conductor;
import hamper.display.Feed;
import hamper.display.Leg;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.display.Run;
import hamper.display.Section;
import hamper.display.SitePower;
import hamper.display.Supply;
import hamper.display.Wiring;
import hamper.sample.Samples;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** A run as the planner entered it becomes the right ladder. */
class RunPowersTest {
  /** At the usual 30 %: 1 mA idle and 0.3 of 41 mA (A). */
  private static final double EACH = 0.0133;

  /** From pixel to pixel of a usual string (Ω). */
  private static final double STEP = 2 * 0.03331 * 0.075;

  private static Prop prop(String id, int pixels, Optional<Wiring> wiring, double lead) {
    PixelString string =
        new PixelString(id, id, "node", List.of(Section.of(pixels)), "", "", lead, wiring);
    return new Prop(id, id, Optional.empty(), Optional.empty(), List.of(string));
  }

  private static Prop prop(String id, int pixels) {
    return prop(id, pixels, Optional.empty(), 0);
  }

  private static Supply supply(String id) {
    return new Supply(id, id, Optional.empty(), 12, 30, Optional.empty(), Optional.empty());
  }

  private static Feed feed(int position) {
    return new Feed("s", position, Optional.of(1.0), Optional.of(Gauge.awg(16)), Optional.of(5.0));
  }

  private static Plan plan(List<Prop> props, Leg... legs) {
    Plan bare = Samples.plan(props);
    return bare.with(
        bare.display()
            .withPower(new SitePower(List.of(supply("s")), List.of()))
            .withControllers(
                List.of(
                    Samples.controller(
                        "k", Protocol.E131, Run.of(PortKind.PIXEL, 1, List.of(legs))))));
  }

  private static RunPower power(List<Prop> props, Leg... legs) {
    return RunPowers.of(plan(props, legs)).get(0);
  }

  private static Island.Low low(RunPower power, int island) {
    return power.islands().get(island).reaches().get(0).volts().orElseThrow();
  }

  /** Drop from the first to the last of so many pixels that are fed at the first. */
  private static double sag(int pixels) {
    return STEP * EACH * pixels * (pixels - 1) / 2;
  }

  @Test
  void powerComesThroughTheCableThePlugAndTheLead() {
    RunPower power =
        power(
            List.of(prop("a", 100, Optional.empty(), 1)),
            Leg.of("a").withGap(0, Optional.of(3.0), Optional.empty()));
    double lead = 2 * 0.02095 * 3 + 2 * 0.010 + 2 * 0.03331 * 1;
    assertThat(power.ownFeed().orElseThrow().leadOhms()).isEqualTo(lead, within(1e-9));
    assertThat(low(power, 0).position()).isEqualTo(100);
    assertThat(low(power, 0).volts()).isEqualTo(12 - 100 * EACH * lead - sag(100), within(1e-6));
    assertThat(power.ownFeed().orElseThrow().amps()).isEqualTo(100 * EACH, within(1e-9));
    assertThat(power.ownFeed().orElseThrow().fullAmps()).isEqualTo(4.2, within(1e-9));
  }

  @Test
  void aShortCircuitIsReckonedAtTheFarEndOfWhatAFeedProtects() {
    double lead = 2 * 0.01317;
    RunPower one = power(List.of(prop("a", 100)), Leg.of("a").withFeeds(List.of(feed(50))));
    FeedLoad socket = one.ownFeed().orElseThrow();
    FeedLoad soldered = one.feeds().toList().get(1);
    // the socket up to halfway, the other one up to the end
    assertThat(socket.farOhms()).isEqualTo(0.020 + 49 * STEP / 2, within(1e-9));
    assertThat(soldered.farOhms()).isEqualTo(lead + 50 * STEP, within(1e-9));
    assertThat(soldered.shortAmps()).isEqualTo(12 / (lead + 50 * STEP), within(1e-9));
    RunPower two =
        power(List.of(prop("a", 100)), Leg.of("a").withFeeds(List.of(feed(50), feed(50))));
    assertThat(two.feeds().toList().get(2).farOhms()).isEqualTo(lead + 50 * STEP, within(1e-9));
  }

  @Test
  void aGapSharesItsCableOutOverItsNullPixels() {
    RunPower power =
        power(
            List.of(prop("a", 1), prop("b", 1)),
            Leg.of("a"),
            Leg.of("b").withGap(1, Optional.of(4.0), Optional.of(Gauge.awg(16))));
    double half = 2 * 0.01317 * 2;
    double amps = EACH + 0.001 + EACH;
    // from a to the null pixel through one plug, from there to b through another
    double drop =
        amps * 0.020 + (amps - EACH) * (half + 0.020) + (amps - EACH - 0.001) * (half + 0.020);
    assertThat(low(power, 0).volts()).isEqualTo(12 - drop, within(1e-6));
    assertThat(low(power, 0).position()).isEqualTo(3);
  }

  @Test
  void behindAJointThatCutsPositiveEachPartLivesOnItsOwnFeeds() {
    Leg second = Leg.of("b").withCut(List.of(Conductor.POSITIVE));
    List<Prop> props = List.of(prop("a", 50), prop("b", 80));
    RunPower dark = power(props, Leg.of("a"), second);
    assertThat(dark.islands()).hasSize(2);
    assertThat(dark.islands().get(1).feeds()).isEmpty();
    assertThat(dark.islands().get(1).reaches().get(0).volts()).isEmpty();
    RunPower fed = power(props, Leg.of("a"), second.withFeeds(List.of(feed(1))));
    assertThat(fed.feeds().map(FeedLoad::amps).toList())
        .satisfiesExactly(
            own -> assertThat(own).isEqualTo(50 * EACH, within(1e-9)),
            other -> assertThat(other).isEqualTo(80 * EACH, within(1e-9)));
    assertThat(fed.islands().get(1).from()).isEqualTo(51);
    assertThat(low(fed, 1).position()).isEqualTo(130);
  }

  @Test
  void aStringForDataOnlyTakesNothingThroughItsPlug() {
    Wiring dataOnly = new Wiring(Optional.empty(), Optional.empty(), true, Optional.empty());
    RunPower power =
        power(
            List.of(prop("a", 100, Optional.of(dataOnly), 0)),
            Leg.of("a").withFeeds(List.of(feed(100))));
    assertThat(power.ownFeed()).isEmpty();
    double lead = 2 * 0.01317;
    assertThat(low(power, 0).position()).isEqualTo(1);
    assertThat(low(power, 0).volts()).isEqualTo(12 - 100 * EACH * lead - sag(100), within(1e-6));
  }

  @Test
  void aFeedBeyondTheEndOfItsStringSitsAtTheEnd() {
    RunPower power = power(List.of(prop("a", 60)), Leg.of("a").withFeeds(List.of(feed(85))));
    assertThat(power.feeds().map(FeedLoad::position).toList()).containsExactly(1, 60);
  }

  @Test
  void theLossOfAFeedIsTheRunWithoutIt() {
    List<Prop> props = List.of(prop("a", 90), prop("b", 120));
    Feed strong =
        new Feed("s", 120, Optional.of(0.1), Optional.of(Gauge.awg(12)), Optional.empty());
    Leg second = Leg.of("b").withFeeds(List.of(strong));
    Island whole = power(props, Leg.of("a"), second).islands().get(0);
    Island.Loss loss = whole.worstLoss().orElseThrow();
    assertThat(whole.feeds().get(loss.feed()).at()).as("the far one").isPresent();
    RunPower without = power(props, Leg.of("a"), Leg.of("b"));
    assertThat(loss.low()).isEqualTo(low(without, 0));
    assertThat(without.islands().get(0).worstLoss()).as("the only one").isEmpty();
  }

  @Test
  void whatFeedsGiveIsWhatPixelsTake() {
    Random random = new Random(11);
    for (int round = 0; round < 300; round++) {
      List<Prop> props = new ArrayList<>();
      List<Leg> legs = new ArrayList<>();
      int count = 1 + random.nextInt(5);
      for (int i = 0; i < count; i++) {
        int pixels = 1 + random.nextInt(120);
        props.add(prop("p" + i, pixels, Optional.empty(), random.nextInt(3)));
        List<Feed> feeds = new ArrayList<>();
        boolean cut = random.nextInt(4) == 0;
        if (cut || random.nextBoolean()) {
          feeds.add(feed(1 + random.nextInt(pixels)));
        }
        legs.add(
            Leg.of("p" + i)
                .withGap(
                    random.nextInt(3),
                    random.nextBoolean() ? Optional.of(random.nextDouble() * 5) : Optional.empty(),
                    Optional.empty())
                .withCut(cut ? List.of(Conductor.POSITIVE) : List.of())
                .withFeeds(feeds));
      }
      Plan plan = plan(props, legs.toArray(Leg[]::new));
      RunPower power = RunPowers.of(plan).get(0);
      PortLoad load = PortLoads.of(plan).get(0);
      assertThat(power.run().places()).isEqualTo(load.places());
      assertThat(power.feeds().mapToDouble(FeedLoad::amps).sum())
          .isEqualTo(load.amps(), within(1e-9));
      assertThat(power.feeds().mapToDouble(FeedLoad::fullAmps).sum())
          .isEqualTo(load.fullAmps(), within(1e-9));
    }
  }
}
