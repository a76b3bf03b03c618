package hamper.check;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.address.Protocol;
import hamper.catalog.PortKind;
import hamper.display.Conductor;
import hamper.display.Feed;
import hamper.display.Leg;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.display.Run;
import hamper.display.Section;
import hamper.display.SitePower;
import hamper.display.Supply;
import hamper.facts.Facts;
import hamper.sample.Samples;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What is said of power, and what is left unsaid because something else says it better. */
class PowerChecksTest {
  private static final List<Conductor> BOTH = List.of(Conductor.POSITIVE, Conductor.NEGATIVE);

  private static Supply supply(String id, double volts) {
    return new Supply(id, id, Optional.empty(), volts, 30, Optional.empty(), Optional.empty());
  }

  private static Feed feed(String supply, int position) {
    return new Feed(supply, position, Optional.of(1.0), Optional.empty(), Optional.of(5.0));
  }

  private static Leg leg(String piece, List<Conductor> cut, Feed... feeds) {
    return Leg.of(piece).withCut(cut).withFeeds(List.of(feeds));
  }

  /** Codes of what is found about power and data on a run of strings of so many pixels each. */
  private static List<String> found(int pixels, Leg... legs) {
    return findings(pixels, legs).map(Finding::code).sorted().toList();
  }

  private static Stream<Finding> findings(int pixels, Leg... legs) {
    List<Prop> props =
        List.of(
            Samples.string("a", "node", Section.of(pixels)),
            Samples.string("b", "node", Section.of(pixels)),
            Samples.string("c", "node", Section.of(pixels)));
    Plan bare = Samples.plan(props);
    Plan plan =
        bare.with(
            bare.display()
                .withPower(
                    new SitePower(
                        List.of(supply("s", 12), supply("t", 12), supply("five", 5)), List.of()))
                .withControllers(
                    List.of(
                        Samples.controller(
                            "k", Protocol.E131, Run.of(PortKind.PIXEL, 1, List.of(legs))))));
    return Checks.all(Facts.of(plan)).stream()
        .filter(finding -> finding.area() == Area.POWER || finding.area() == Area.DATA);
  }

  /** Pixels that want more than there is leave less than nothing, if one only calculates. */
  @Test
  void whereNothingIsLeftItIsDarkAndNoVoltageIsBelowNothing() {
    List<Finding> low =
        findings(2000, Leg.of("a"), Leg.of("b"), Leg.of("c"))
            .filter(finding -> finding.code().equals("voltage-low"))
            .toList();
    assertThat(low).isNotEmpty();
    assertThat(low.get(0).message()).contains("is dark at planned brightness, dark at 100 %");
    assertThat(low.get(0).found().text()).isEqualTo("0.00 V");
  }

  @Test
  void aShortRunOnItsSocketIsRight() {
    assertThat(found(40, Leg.of("a"), Leg.of("b"))).isEmpty();
  }

  @Test
  void aSupplyOfAnotherVoltageIsToldAndNotTheLowVoltageThatFollows() {
    assertThat(found(40, Leg.of("a"), leg("b", List.of(Conductor.POSITIVE), feed("five", 1))))
        .containsExactly("supply-voltage");
  }

  @Test
  void whereVoltageIsLowAlreadyTheLossOfAFeedIsNotTold() {
    assertThat(found(300, leg("a", List.of(), feed("s", 2)), Leg.of("b"), Leg.of("c")))
        .contains("voltage-low")
        .doesNotContain("feed-lost");
  }

  @Test
  void twoSuppliesAreJoinedUnlessAJointBetweenThemCutsPositive() {
    Leg first = leg("a", List.of(), feed("s", 20));
    assertThat(found(40, first, leg("b", List.of(), feed("t", 1)))).contains("supplies-joined");
    assertThat(found(40, first, leg("b", List.of(Conductor.POSITIVE), feed("t", 1))))
        .doesNotContain("supplies-joined", "common-negative", "no-feed");
  }

  @Test
  void negativeIsInCommonThroughOneSupplyOnBothSides() {
    Leg first = leg("a", List.of(), feed("s", 20));
    assertThat(found(40, first, leg("b", BOTH, feed("s", 1)))).doesNotContain("common-negative");
    assertThat(found(40, first, leg("b", BOTH, feed("t", 1)))).contains("common-negative");
  }

  @Test
  void negativeIsInCommonThroughAPartBetween() {
    Leg between = leg("b", BOTH, feed("s", 1), feed("t", 40));
    assertThat(found(40, leg("a", List.of(), feed("s", 20)), between, leg("c", BOTH, feed("t", 1))))
        .doesNotContain("common-negative");
  }

  @Test
  void aJointOfTheFirstLegIsTheSocketAndCutsNothing() {
    List<Conductor> all = List.of(Conductor.values());
    assertThat(found(40, leg("a", all))).isEmpty();
    assertThat(found(40, Leg.of("a"), leg("b", all)))
        .containsExactly("common-negative", "data-cut", "no-feed");
  }
}
