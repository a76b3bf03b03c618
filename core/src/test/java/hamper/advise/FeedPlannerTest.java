package hamper.advise;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.address.Protocol;
import hamper.catalog.PortKind;
import hamper.display.Controller;
import hamper.display.Feed;
import hamper.display.HungRun;
import hamper.display.Leg;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.display.Run;
import hamper.display.Section;
import hamper.display.SitePower;
import hamper.display.Supply;
import hamper.load.Island;
import hamper.load.RunPower;
import hamper.load.RunPowers;
import hamper.sample.Samples;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** No run gets more feeds than it needs. */
class FeedPlannerTest {
  private static final double FUSE = 7.5; // the most that the usual wire stands

  private static final Feed PATTERN =
      new Feed("s", 1, Optional.of(2.0), Optional.empty(), Optional.empty());

  private static Plan plan(int[] pixels) {
    List<Prop> props = new ArrayList<>();
    List<Leg> legs = new ArrayList<>();
    for (int i = 0; i < pixels.length; i++) {
      props.add(Samples.string("p" + i, "node", Section.of(pixels[i])));
      legs.add(Leg.of("p" + i));
    }
    Plan plan =
        Samples.plan(
            props, Samples.controller("k", Protocol.E131, Run.of(PortKind.PIXEL, 1, legs)));
    Supply supply =
        new Supply("s", "s", Optional.empty(), 12, 100, Optional.empty(), Optional.empty());
    return plan.with(plan.display().withPower(new SitePower(List.of(supply), List.of())));
  }

  private static Controller controller(Plan plan) {
    return plan.display().controllers().get(0);
  }

  private static Run run(Plan plan) {
    return controller(plan).runs().get(0);
  }

  /** The rule itself, told once more: voltage with its margin, fuses planned and at 100 %. */
  private static boolean good(Plan plan, Run run) {
    RunPower power = RunPowers.of(plan, HungRun.of(plan, controller(plan), run));
    for (Island island : power.islands()) {
      for (Island.Reach reach : island.reaches()) {
        if (reach.volts().orElseThrow().volts() < 9.5 * 1.05) {
          return false;
        }
      }
    }
    return power
        .feeds()
        .allMatch(
            feed ->
                feed.amps() <= 0.8 * feed.fuseAmps().orElseThrow()
                    && feed.fullAmps() <= feed.fuseAmps().orElseThrow());
  }

  /** Every choice of joints, fewest first. */
  private static OptionalInt exhaustive(Plan plan) {
    int legs = run(plan).legs().size();
    return IntStream.range(1, 1 << legs)
        .filter(choice -> good(plan, chosen(plan, choice)))
        .map(Integer::bitCount)
        .min();
  }

  /** Bit i: at the joint after leg i, which for the last is the far end. */
  private static Run chosen(Plan plan, int choice) {
    Run run = run(plan);
    List<Leg> legs = new ArrayList<>(run.legs());
    for (int i = 0; i < legs.size(); i++) {
      if ((choice & 1 << i) != 0) {
        int leg = Math.min(i + 1, legs.size() - 1);
        int position = i + 1 < legs.size() ? 1 : Integer.MAX_VALUE / 1000;
        List<Feed> feeds = new ArrayList<>(legs.get(leg).feeds());
        feeds.add(new Feed("s", position, Optional.of(2.0), Optional.empty(), Optional.of(FUSE)));
        legs.set(leg, legs.get(leg).withFeeds(feeds));
      }
    }
    return run.withLegs(legs);
  }

  private static HungRun hung(Plan plan) {
    return plan.runsOf(controller(plan)).get(0);
  }

  private static Optional<Run> fewest(Plan plan, List<FeedPlanner.Place> places) {
    return FeedPlanner.fewest(plan, hung(plan), PATTERN, FeedPlanner.Goal.ALL, places);
  }

  private static int feeds(Run run) {
    return run.legs().stream().mapToInt(leg -> leg.feeds().size()).sum();
  }

  @Test
  void noChoiceOfJointsDoesWithFewerFeeds() {
    Random random = new Random(5);
    int solved = 0;
    int several = 0;
    for (int round = 0; round < 150; round++) {
      int[] pixels = random.ints(1 + random.nextInt(7), 10, 150).toArray();
      Plan plan = plan(pixels);
      if (good(plan, run(plan))) {
        continue;
      }
      Optional<Run> found = fewest(plan, FeedPlanner.joints(hung(plan)));
      OptionalInt least = exhaustive(plan);
      assertThat(found.isPresent()).isEqualTo(least.isPresent());
      if (found.isPresent()) {
        assertThat(feeds(found.get())).isEqualTo(least.getAsInt());
        assertThat(good(plan, found.get())).isTrue();
        solved++;
        several += feeds(found.get()) > 1 ? 1 : 0;
      }
    }
    assertThat(solved).isGreaterThan(60);
    assertThat(several).as("runs that need more than one").isGreaterThan(30);
  }

  @Test
  void aStringWithoutJointsOnItsWayIsFedBetweenPixels() {
    Plan plan = plan(new int[] {600});
    assertThat(fewest(plan, FeedPlanner.joints(hung(plan)))).as("its two ends do not do").isEmpty();
    Run soldered = fewest(plan, FeedPlanner.between(hung(plan))).orElseThrow();
    assertThat(good(plan, soldered)).isTrue();
    assertThat(feeds(soldered))
        .as("25.2 A at 100 %, of which the port gives 5 and each feed 7.5")
        .isEqualTo(3);
  }

  @Test
  void fusesAreAsSmallAsTheyMayBe() {
    Plan plan = plan(new int[] {60, 60});
    Run fed = fewest(plan, FeedPlanner.joints(hung(plan))).orElseThrow();
    RunPower power = RunPowers.of(plan, HungRun.of(plan, controller(plan), fed));
    assertThat(power.feeds().filter(feed -> feed.at().isPresent()))
        .singleElement()
        .satisfies(
            feed -> {
              double needed = Math.max(feed.fullAmps(), feed.amps() / 0.8);
              double fuse = feed.fuseAmps().orElseThrow();
              assertThat(fuse).isGreaterThanOrEqualTo(needed).isLessThan(needed + 1);
            });
  }
}
