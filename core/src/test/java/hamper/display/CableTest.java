package hamper.display;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.address.Protocol;
import hamper.catalog.PortKind;
import hamper.sample.Samples;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** A cable is as long as somebody said, or as the zones lie apart. */
class CableTest {
  private static Prop in(String zone, String id) {
    Prop prop = Samples.string(id, 10);
    return new Prop(id, id, Optional.ofNullable(zone), Optional.empty(), prop.pieces());
  }

  private static Cable cable(Leg... legs) {
    List<Zone> zones =
        List.of(
            Samples.zone("quay", 0, 0),
            Samples.zone("tower", 30, 40),
            new Zone("lost", "Lost", Optional.empty(), Optional.of(1.0)));
    Controller plain = Samples.controller("k", Protocol.E131);
    Run run = Run.of(PortKind.PIXEL, 1, List.of(legs));
    Controller controller =
        plain.withSettings(plain.settings().withZone(Optional.of("quay"))).withRun(run);
    Plan plan =
        Samples.plan(
            zones,
            List.of(in("tower", "a"), in("quay", "b"), in("lost", "c"), in(null, "d")),
            controller);
    HungRun hung = plan.runsOf(plan.existingController("k")).get(0);
    return hung.cableTo(hung.legs().get(legs.length - 1), plan);
  }

  @Test
  void betweenTwoZonesItIsTheStraightLineAndAFifthRoundedUp() {
    assertThat(cable(Leg.of("a"))).isEqualTo(new Cable(60, Cable.Origin.ESTIMATED));
    assertThat(cable(Leg.of("a"), Leg.of("b"))).isEqualTo(new Cable(60, Cable.Origin.ESTIMATED));
  }

  @Test
  void whatSomebodyEnteredCountsEvenNothing() {
    assertThat(cable(Leg.of("a").withGap(0, Optional.of(0.0), Optional.empty())))
        .isEqualTo(new Cable(0, Cable.Origin.ENTERED));
  }

  @Test
  void insideOneZoneOrWithoutPositionsNothingIsGuessed() {
    for (Leg leg : List.of(Leg.of("b"), Leg.of("c"), Leg.of("d"))) {
      assertThat(cable(leg).origin()).isEqualTo(Cable.Origin.UNKNOWN);
    }
  }
}
