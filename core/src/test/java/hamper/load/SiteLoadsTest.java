package hamper.load;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hamper.address.Protocol;
import hamper.catalog.PortKind;
import hamper.display.Breaker;
import hamper.display.Feed;
import hamper.display.Leg;
import hamper.display.MainsCircuit;
import hamper.display.Plan;
import hamper.display.Run;
import hamper.display.Section;
import hamper.display.SitePower;
import hamper.display.Supply;
import hamper.sample.Samples;
import hamper.value.RecordShape;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What hangs on a supply and on a mains circuit is summed up, losses and all. */
class SiteLoadsTest {
  private static Supply supply(String id, Optional<Integer> efficiency) {
    return new Supply(id, id, Optional.empty(), 12, 30, Optional.of("m"), efficiency);
  }

  private static SiteLoads loads() {
    Plan bare = Samples.plan(List.of(Samples.string("a", "node", Section.of(100))));
    Feed only = new Feed("s", 1, Optional.of(0.0), Optional.empty(), Optional.empty());
    Leg leg = Leg.of("a").withGap(10, Optional.empty(), Optional.empty());
    Plan plan =
        bare.with(
            bare.display()
                .withPower(
                    new SitePower(
                        List.of(supply("s", Optional.empty()), supply("t", Optional.of(90))),
                        List.of(new MainsCircuit("m", "m", 230, 10, 100))))
                .withControllers(
                    List.of(
                        Samples.controller(
                            "k",
                            Protocol.E131,
                            Run.of(PortKind.PIXEL, 1, List.of(leg.withFeeds(List.of(only))))))));
    return SiteLoads.of(plan, PortLoads.of(plan), RunPowers.of(plan));
  }

  @Test
  void aSupplyGivesWhatItsFeedsTake() {
    SiteLoads.SupplyLoad load = loads().supplies().get(0);
    assertThat(load.feeds()).hasSize(1);
    assertThat(load.amps()).isEqualTo(load.feeds().get(0).amps());
    assertThat(load.amps()).isBetween(1.0, 1.34); // the port gives the rest of 1.34 A
    assertThat(loads().supplies().get(1).amps()).isZero();
  }

  @Test
  void theMainsGiveTheLossesOfSuppliesToo() {
    SiteLoads site = loads();
    double amps = site.supplies().get(0).amps();
    assertThat(site.mains().get(0).watts()).isEqualTo(100 + amps * 12 / 0.85, within(1e-9));
    assertThat(supply("x", Optional.of(50)).mainsWatts(2)).isEqualTo(48);
  }

  @Test
  void suppliesLeakAndTakeMoreInTheMomentOfSwitchingOn() {
    MainsLoad mains = loads().mains().get(0);
    assertThat(mains.leakageMilliamps()).as("1 mA each").isEqualTo(2);
    double atRating = 360 / 0.85 / 230 + 360 / 0.9 / 230;
    assertThat(mains.switchOnAmps()).isEqualTo(10 * atRating, within(1e-9));
    assertThat(mains.mostLeakage()).isEmpty();
    Supply told =
        RecordShape.with(
            RecordShape.with(supply("x", Optional.empty()), "leakageMilliamps", Optional.of(0.3)),
            "switchOnAmps",
            Optional.of(55.0));
    assertThat(told.leakage()).isEqualTo(0.3);
    assertThat(told.switchOn(230)).isEqualTo(55);
    MainsCircuit small =
        new MainsCircuit("n", "n", 230, 16, 0, Optional.of(Breaker.B), Optional.of(30.0));
    assertThat(small.switchOnAmps()).contains(48.0);
  }

  @Test
  void darkPixelsAndNullPixelsStillTakeTheirIdleCurrent() {
    assertThat(loads().idleWatts()).isEqualTo(110 * 0.001 * 12, within(1e-9));
  }
}
