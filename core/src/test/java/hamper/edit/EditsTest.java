package hamper.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hamper.address.Protocol;
import hamper.catalog.PortKind;
import hamper.display.DisplaySettings;
import hamper.display.Hold;
import hamper.display.Leg;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.Run;
import hamper.display.Section;
import hamper.display.Zone;
import hamper.resolve.Resolver;
import hamper.sample.Samples;
import hamper.value.RefusedException;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;

/** Every edit does what its label says and its inverse takes it back, exactly. */
class EditsTest {
  private static final PortRef FIRST = new PortRef("k", PortKind.PIXEL, 1);
  private static final PortRef SECOND = new PortRef("k", PortKind.PIXEL, 2);

  private final Plan plan =
      Samples.plan(
          List.of(
              Samples.string("a", 10),
              Samples.string("b", 20),
              Samples.string("c", 30),
              Samples.string("d", 40)),
          Samples.controller("k", Protocol.E131, Samples.run(1, "a", "b"), Samples.run(2, "c")),
          Samples.controller("l", Protocol.DDP));

  private static List<String> on(Plan plan, PortRef port) {
    return plan.existingController(port.controller())
        .run(port.kind(), port.port())
        .map(run -> run.legs().stream().map(Leg::piece).toList())
        .orElse(List.of());
  }

  private PatchPieces patch(PortRef port, String before, String... pieces) {
    return new PatchPieces(List.of(pieces), port, Optional.ofNullable(before));
  }

  @TestFactory
  Stream<DynamicTest> theInverseTakesItBackAndItsInverseDoesItAgain() {
    Stream<Edit> edits =
        Stream.of(
            patch(SECOND, null, "d"),
            patch(SECOND, "c", "a", "d"),
            new UnpatchPieces(List.of("a", "c")),
            new SetGap("b", 3, 4.5),
            new SetMirror("c", Optional.of("a")),
            new SetSection("b", 0, Section.of(25)),
            new SetString(
                new hamper.display.PixelString("b", "new", "rgb", List.of(Section.of(3)))),
            new PutProp(Samples.string("e", 5)),
            new PutProp(Samples.string("b", 99)),
            new RemoveProp("b"),
            new PutZone(new Zone("z", "Quay", Optional.empty(), Optional.empty())),
            new PutController(Samples.controller("m", Protocol.ARTNET)),
            new RemoveController("k"),
            new MoveController("l", 0),
            new SetDisplay("Other", new DisplaySettings(10, 5, 25)));
    return edits.map(
        edit ->
            DynamicTest.dynamicTest(
                edit.label(plan),
                () -> {
                  Edit.Applied done = edit.applyTo(plan);
                  assertThat(done.plan().display()).isNotEqualTo(plan.display());
                  Edit.Applied undone = done.inverse().applyTo(done.plan());
                  assertThat(undone.plan().display()).isEqualTo(plan.display());
                  assertThat(Resolver.resolve(undone.plan())).isEqualTo(Resolver.resolve(plan));
                  Edit.Applied again = undone.inverse().applyTo(undone.plan());
                  assertThat(again.plan().display()).isEqualTo(done.plan().display());
                }));
  }

  @Test
  void piecesHangInTheOrderGivenBeforeTheOneNamed() {
    Plan after = patch(FIRST, "b", "d", "c").applyTo(plan).plan();
    assertThat(on(after, FIRST)).containsExactly("a", "d", "c", "b");
    assertThat(on(after, SECOND)).isEmpty();
  }

  @Test
  void withinARunALegMovesAlongTheWire() {
    Plan after = patch(FIRST, "a", "b").applyTo(plan).plan();
    assertThat(on(after, FIRST)).containsExactly("b", "a");
  }

  @Test
  void aMovedLegKeepsItsGap() {
    Plan gapped = new SetGap("b", 2, 6).applyTo(plan).plan();
    Plan moved = patch(SECOND, null, "b").applyTo(gapped).plan();
    assertThat(moved.leg("b").orElseThrow().leg().nullPixels()).isEqualTo(2);
  }

  @Test
  void aPortOfTheWrongKindOrMissingInTheModeIsRefused() {
    assertThatThrownBy(() -> patch(new PortRef("k", PortKind.PIXEL, 60), null, "d").applyTo(plan))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("k-60");
    assertThatThrownBy(() -> patch(new PortRef("k", PortKind.RELAY, 1), null, "d").applyTo(plan))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("hangs on a PIXEL port");
  }

  @Test
  void removingWhatIsMirroredIsRefusedWithThePlace() {
    Plan mirrored = new SetMirror("c", Optional.of("a")).applyTo(plan).plan();
    assertThatThrownBy(() -> new RemoveProp("a").applyTo(mirrored))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("mirrorOf");
  }

  @Test
  void removingAZoneLeavesWhatLayInIt() {
    Plan zoned =
        new PutZone(new Zone("z", "Quay", Optional.empty(), Optional.empty())).applyTo(plan).plan();
    var prop = zoned.display().props().get(0);
    Plan inZone =
        new PutProp(
                new hamper.display.Prop(
                    prop.id(), prop.name(), Optional.of("z"), Optional.empty(), prop.pieces()))
            .applyTo(zoned)
            .plan();
    Plan after = new RemoveZone("z").applyTo(inZone).plan();
    assertThat(after.display().zones()).isEmpty();
    assertThat(after.display().props().get(0).zone()).isEmpty();
  }

  @Test
  void labelsSayWhatWillBeUndone() {
    assertThat(patch(SECOND, null, "d").label(plan)).isEqualTo("Patch d to k-2");
    assertThat(patch(SECOND, null, "a").label(plan)).isEqualTo("Move a to k-2");
    Section held = Section.of(20).withHold(Optional.of(Hold.atChannel(301)));
    assertThat(new SetSection("b", 0, held).label(plan)).isEqualTo("Hold b at channel 301");
    assertThat(new SetSection("b", 0, Section.of(21)).label(plan)).isEqualTo("Set pixels of b");
  }

  @Test
  void anInverseHoldsOnlyWhatDiffers() {
    Restore inverse = new SetSection("b", 0, Section.of(21)).applyTo(plan).inverse();
    assertThat(inverse.props().orElseThrow().changed()).hasSize(1);
    assertThat(inverse.controllers()).isEmpty();
  }

  @Test
  void aRunThatCarriesNothingIsNotKept() {
    Plan after = new UnpatchPieces(List.of("c")).applyTo(plan).plan();
    assertThat(after.existingController("k").runs()).extracting(Run::port).containsExactly(1);
  }
}
