package hamper.edit;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.address.Protocol;
import hamper.display.Conductor;
import hamper.display.Controller;
import hamper.display.ControllerSettings;
import hamper.display.Hold;
import hamper.display.Plan;
import hamper.display.Section;
import hamper.display.Zone;
import hamper.sample.Samples;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;

/** What the undo button says. */
class ToldTest {
  private static final Zone QUAY = Samples.zone("z", 1, 2);
  private static final Plan PLAN =
      Samples.plan(
          List.of(QUAY),
          List.of(Samples.string("a", 10), Samples.string("b", 20)),
          Samples.controller("k", Protocol.E131, Samples.run(1, "a", "b")));

  private static String settings(UnaryOperator<ControllerSettings> change) {
    Controller before = PLAN.existingController("k");
    return EditsBetween.fields(before, before.withSettings(change.apply(before.settings())))
        .label(PLAN);
  }

  @Test
  void oneFieldIsToldWithItsValueAndUnit() {
    assertThat(settings(s -> s.withBrightness(Optional.of(40))))
        .isEqualTo("Set brightness of k to 40 %");
    assertThat(settings(s -> s.withUniverseSize(510))).isEqualTo("Set universe size of k to 510");
    assertThat(settings(s -> s.withZone(Optional.of("z"))))
        .isEqualTo("Set zone of k to " + QUAY.name());
    assertThat(settings(s -> s.withProtocol(Protocol.ARTNET)))
        .isEqualTo("Set protocol of k to Art-Net");
    assertThat(Say.gap("b", 0, 2.0, null).label(PLAN)).isEqualTo("Set cable of b to 2 m");
  }

  @Test
  void severalFieldsAreNamedAndManyAreNot() {
    assertThat(settings(s -> s.withBlock(Optional.of(9), 3, 0)))
        .isEqualTo("Set first universe 9 and reserved universes 3 of k");
    assertThat(
            settings(
                s ->
                    s.withBlock(Optional.of(9), 3, 0)
                        .withUniverseSize(500)
                        .withZone(Optional.of("z"))))
        .isEqualTo("Change k");
  }

  @Test
  void someFieldsHaveWordsOfTheirOwn() {
    Section plain = Section.of(20);
    Section held = plain.withHold(Optional.of(Hold.atChannel(7)));
    assertThat(Say.section("b", 0, plain, held).label(PLAN)).isEqualTo("Hold b at channel 7");
    assertThat(Say.section("b", 0, held, plain).label(PLAN)).isEqualTo("Let go b");
    assertThat(Say.cut("b", Conductor.POSITIVE).label(PLAN)).isEqualTo("Cut positive before b");
    assertThat(Say.mirror("b", "a").label(PLAN)).isEqualTo("Mirror a on b");
    assertThat(SetLegs.mirror("b", Optional.empty()).label(PLAN)).isEqualTo("End the mirror b");
    assertThat(new TurnSections(List.of(new SetSections.At("b", 0))).label(PLAN))
        .isEqualTo("Turn b");
  }

  @Test
  void manyThingsAreCounted() {
    SetProps set =
        new SetProps(
            List.of("a", "b"),
            new PropChange(Change.stays(), Change.none(), Change.stays(), Change.stays()));
    assertThat(set.label(PLAN)).isEqualTo("Clear zone of 2 props");
    assertThat(
            new SetProps(
                    List.of("a"),
                    new PropChange(
                        Change.to("Bell"), Change.stays(), Change.stays(), Change.stays()))
                .label(PLAN))
        .isEqualTo("Rename a to Bell");
  }
}
