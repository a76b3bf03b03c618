package hamper.paper;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.display.Plan;
import hamper.files.CatalogueFiles;
import hamper.handover.HandoverFact;
import hamper.handover.Units;
import hamper.handover.Units.KnownUnit;
import hamper.samples.RandomYards;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** A unit is known by what it said when it was given something. */
class UnitsTest {
  private final Plan plan = RandomYards.of(CatalogueFiles.shipped(), 3);
  private final String first = plan.display().controllers().get(0).id();
  private final String tag = plan.display().controllers().get(0).tag();

  private HandoverFact fact(int at, String serial, HandoverFact.Kind kind) {
    return new HandoverFact(
        first,
        Instant.ofEpochSecond(at),
        "Ada",
        kind,
        HandoverFact.Means.NETWORK,
        at,
        serial,
        "",
        "",
        Optional.empty(),
        List.of());
  }

  @Test
  void theLastOneStandsThereAndTheOneBeforeLiesSomewhere() {
    Units units =
        Units.of(
            plan,
            List.of(
                fact(1, "A-1", HandoverFact.Kind.GIVEN),
                fact(2, "A-2", HandoverFact.Kind.REPLACED),
                fact(3, "A-2", HandoverFact.Kind.GIVEN)),
            Map.of("A-1", "shelf 3", "Z-9", "box 1"));
    assertThat(units.units())
        .extracting(KnownUnit::serial, KnownUnit::now, KnownUnit::place)
        .containsExactly(
            org.assertj.core.groups.Tuple.tuple("A-1", false, "shelf 3"),
            org.assertj.core.groups.Tuple.tuple("A-2", true, ""),
            org.assertj.core.groups.Tuple.tuple("Z-9", false, "box 1"));
    assertThat(units.units().get(1).history())
        .extracting(Units.UnitEvent::told)
        .containsExactly(
            "given " + tag + ", version 3", "came in place of another as " + tag + ", version 2");
  }
}
