package hamper.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hamper.address.Protocol;
import hamper.catalog.PortKind;
import hamper.display.Conductor;
import hamper.display.Enclosure;
import hamper.display.Feed;
import hamper.display.Leg;
import hamper.display.Link;
import hamper.display.MainsCircuit;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.PoweredInput;
import hamper.display.SitePower;
import hamper.display.Supply;
import hamper.display.Whereabouts;
import hamper.sample.Samples;
import hamper.value.RecordShape;
import hamper.value.RefusedException;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;

/** Feeds, joints, supplies and mains circuits are edited like everything else. */
class PowerEditsTest {
  private static final MainsCircuit SHED = new MainsCircuit("m", "Shed", 230, 10, 100);

  private static final Enclosure HALL =
      new Enclosure("hall", "Hall", Optional.of("z"), Optional.of("m"), List.of(8));
  private static final Enclosure QUAY =
      new Enclosure("quay", "Quay", Optional.empty(), Optional.empty(), List.of());
  private static final Enclosure BOX =
      new Enclosure("box", "Box", Optional.empty(), Optional.empty(), List.of(5, 5));
  private static final Link OLD_LINK =
      new Link("old", "N1", "hall", "quay", Link.Kind.COPPER, Optional.of(30.0));
  private static final Link LINK =
      new Link("new", "N2", "quay", "hall", Link.Kind.FIBRE, Optional.empty());

  private static Supply supply(String id, Optional<String> mains) {
    return new Supply(id, id, Optional.of("z"), 12, 30, mains, Optional.empty());
  }

  private static Feed feed(String supply, int position) {
    return new Feed(supply, position, Optional.empty(), Optional.empty(), Optional.of(5.0));
  }

  private static Plan fed() {
    Plan bare =
        Samples.plan(
            List.of(Samples.zone("z", 0, 0)),
            List.of(Samples.string("a", 10), Samples.string("b", 20), Samples.string("c", 30)),
            Samples.controller("k", Protocol.E131, Samples.run(1, "a", "b")));
    SitePower power = new SitePower(List.of(supply("s", Optional.of("m"))), List.of(SHED));
    Plan powered =
        bare.with(
            bare.display()
                .withPower(power)
                .withEnclosures(List.of(HALL, QUAY))
                .withLinks(List.of(OLD_LINK)));
    return Say.feeds("a", feed("s", 10), feed("s", 5)).applyTo(powered).plan();
  }

  private final Plan plan = fed();

  private Leg leg(Plan at, String piece) {
    return at.leg(piece).orElseThrow().leg();
  }

  @TestFactory
  Stream<DynamicTest> eachIsTakenBackAndDoneAgain() {
    Stream<Edit> edits =
        Stream.of(
            Say.feeds("b", feed("s", 3)),
            new RemoveFeed("a", 1),
            new SetFeed("a", 0, Fields.between(FeedChange.class, feed("s", 5), feed("s", 9))),
            Say.cut("b", Conductor.NEGATIVE, Conductor.POSITIVE),
            new PutSupply(supply("t", Optional.of("m"))),
            EditsBetween.fields(supply("s", Optional.of("m")), supply("s", Optional.empty())),
            EditsBetween.fields(SHED, new MainsCircuit("m", "Shed", 120, 20, 5)),
            new RemoveSupply("s"),
            new PutEnclosure(BOX),
            EditsBetween.fields(HALL, HALL.withMains(Optional.empty())),
            new RemoveEnclosure("hall"),
            new PutLink(LINK),
            EditsBetween.fields(OLD_LINK, RecordShape.with(OLD_LINK, "kind", Link.Kind.FIBRE)),
            new RemoveLink("old"),
            new PutMainsCircuit(new MainsCircuit("n", "Porch", 120, 15, 0)),
            new RemoveMainsCircuit("m"),
            new RemoveZone("z"));
    return edits.map(
        edit ->
            DynamicTest.dynamicTest(
                edit.label(plan),
                () -> {
                  Edit.Applied done = edit.applyTo(plan);
                  assertThat(done.plan().display()).isNotEqualTo(plan.display());
                  Edit.Applied undone = done.inverse().applyTo(done.plan());
                  assertThat(undone.plan().display()).isEqualTo(plan.display());
                  Edit.Applied again = undone.inverse().applyTo(undone.plan());
                  assertThat(again.plan().display()).isEqualTo(done.plan().display());
                }));
  }

  @Test
  void whatIsInAnEnclosureStandsAndHangsWhereItDoes() {
    Plan housed =
        EditsBetween.fields(
                supply("s", Optional.of("m")),
                new Supply("s", "s", Optional.empty(), 12, 30, Optional.empty(), Optional.empty())
                    .withEnclosure(Optional.of("hall")))
            .applyTo(plan)
            .plan();
    assertThat(Whereabouts.zone(housed, housed.existingSupply("s"))).contains("z");
    assertThat(Whereabouts.mains(housed, housed.existingSupply("s"))).contains("m");
    Plan without = new RemoveEnclosure("hall").applyTo(housed).plan();
    assertThat(without.existingSupply("s").enclosure()).isEmpty();
    assertThat(Whereabouts.mains(without, without.existingSupply("s"))).isEmpty();
    assertThat(without.links().all()).isEmpty();
    Plan dark = new RemoveMainsCircuit("m").applyTo(housed).plan();
    assertThat(Whereabouts.mains(dark, dark.existingSupply("s"))).isEmpty();
    Plan nowhere = new RemoveZone("z").applyTo(housed).plan();
    assertThat(Whereabouts.zone(nowhere, nowhere.existingSupply("s"))).isEmpty();
  }

  @Test
  void aLinkLeadsFromOneEnclosureToAnother() {
    assertThatThrownBy(() -> new Link("n", "N", "hall", "hall", Link.Kind.COPPER, Optional.empty()))
        .isInstanceOf(RefusedException.class);
    Link nowhere = new Link("n", "N", "hall", "moon", Link.Kind.COPPER, Optional.empty());
    assertThatThrownBy(() -> new PutLink(nowhere).applyTo(plan))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("moon");
  }

  @Test
  void feedsStandInTheOrderOfTheWire() {
    assertThat(leg(plan, "a").feeds()).extracting(Feed::position).containsExactly(5, 10);
  }

  @Test
  void feedsGoWhereTheStringGoes() {
    Plan moved =
        new PatchPieces(List.of("a"), new PortRef("k", PortKind.PIXEL, 4), Optional.empty())
            .applyTo(plan)
            .plan();
    assertThat(leg(moved, "a").feeds()).isEqualTo(leg(plan, "a").feeds());
  }

  @Test
  void whatComesFromASupplyGoesWithIt() {
    Plan without = new RemoveSupply("s").applyTo(plan).plan();
    assertThat(leg(without, "a").feeds()).isEmpty();
    assertThat(without.display().power().supplies()).isEmpty();
  }

  @Test
  void aSupplyStaysWhenItsMainsCircuitGoes() {
    Plan without = new RemoveMainsCircuit("m").applyTo(plan).plan();
    assertThat(without.existingSupply("s").mains()).isEmpty();
  }

  @Test
  void whatLeadsNowhereIsRefusedWithItsPlace() {
    assertThatThrownBy(() -> Say.feeds("a", feed("nobody", 1)).applyTo(plan))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("controllers[0].runs[0].legs[0].feeds")
        .hasMessageContaining("nobody");
    assertThatThrownBy(() -> Say.feeds("c", feed("s", 1)).applyTo(plan))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("not patched");
    assertThatThrownBy(() -> new PutSupply(supply("t", Optional.of("gone"))).applyTo(plan))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("mains");
    var inputs = plan.display().controllers().get(0).withPowered(List.of(new PoweredInput(1, "s")));
    assertThatThrownBy(
            () -> EditsBetween.fields(plan.display().controllers().get(0), inputs).applyTo(plan))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("0 power inputs");
    assertThatThrownBy(
            () ->
                inputs.withPowered(List.of(new PoweredInput(1, "s"), new PoweredInput(1, "other"))))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("power input 1");
  }
}
