package hamper.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hamper.address.IpAddress;
import hamper.address.Packing;
import hamper.address.PortStart;
import hamper.address.Protocol;
import hamper.address.StartsPer;
import hamper.catalog.DeviceModel;
import hamper.catalog.Gauge;
import hamper.catalog.PixelLimit;
import hamper.catalog.PortGroup;
import hamper.catalog.PortKind;
import hamper.catalog.PortMode;
import hamper.display.Hold;
import hamper.display.Leg;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.Prop;
import hamper.display.Run;
import hamper.display.Section;
import hamper.display.Subnet;
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

  private final Plan bare =
      Samples.plan(
          List.of(
              Samples.string("a", 10),
              Samples.string("b", 20),
              Samples.string("c", 30),
              Samples.string("d", 40)),
          Samples.controller("k", Protocol.E131, Samples.run(1, "a", "b"), Samples.run(2, "c")),
          Samples.controller("l", Protocol.DDP));

  private final Plan plan = bare.with(bare.display().withModels(List.of(SMALL)));

  private static final Subnet SHOW =
      new Subnet(
          "show", "Show", new IpAddress("198.51.100.0"), 24, Optional.empty(), Optional.empty());

  /** One port of whole pixels, and one start a port. */
  private static final DeviceModel SMALL = small();

  private static Prop renamed(Prop prop) {
    return new Prop(prop.id(), "Bell", Optional.empty(), Optional.of(70), prop.pieces());
  }

  private static DeviceModel small() {
    DeviceModel model =
        Samples.model(
            "small", Samples.dialect(Packing.WHOLE_PIXEL, PortStart.NEXT_UNIVERSE, StartsPer.PORT));
    PortGroup one =
        new PortGroup(
            PortKind.PIXEL,
            List.of(
                new PortMode("few", 1, List.of(new PixelLimit(3, 800))),
                new PortMode("many", 2, List.of(new PixelLimit(3, 400)))),
            Optional.empty(),
            List.of());
    return new DeviceModel(
        "small",
        "Sample",
        "Small",
        "1",
        "",
        List.of(one),
        model.protocols(),
        model.dialect(),
        model.options(),
        false);
  }

  @Test
  void aBigPropHangsOverConsecutiveFreePortsInOneGesture() {
    Plan after = new PatchAcross(List.of("d", "b"), "k", Optional.empty()).applyTo(plan).plan();
    assertThat(on(after, new PortRef("k", PortKind.PIXEL, 3))).containsExactly("d");
    assertThat(on(after, new PortRef("k", PortKind.PIXEL, 4))).containsExactly("b");
    assertThatThrownBy(() -> new PatchAcross(List.of("d"), "k", Optional.of(49)).applyTo(plan))
        .hasMessageContaining("k-49");
  }

  @Test
  void anotherModeSendsWhatNoLongerFitsBackToTheTray() {
    Plan many =
        new SetMode("k", Optional.of("many"))
            .applyTo(new ExchangeController("k", "small").applyTo(plan).plan())
            .plan();
    Plan moved = patch(SECOND, null, "d").applyTo(many).plan();
    Plan few = new SetMode("k", Optional.of("few")).applyTo(moved).plan();
    assertThat(on(few, FIRST)).containsExactly("a", "b");
    assertThat(few.leg("d")).isEmpty();
    assertThat(new SetMode("k", Optional.of("few")).label(moved)).isEqualTo("Set k to few");
    assertThatThrownBy(() -> new SetMode("k", Optional.of("several")).applyTo(moved))
        .hasMessageContaining("has the modes few, many");
  }

  @Test
  void anExchangedControllerKeepsItsAddresses() {
    var before = Resolver.resolve(plan);
    Plan exchanged = new ExchangeController("k", "small").applyTo(plan).plan();
    var after = Resolver.resolve(exchanged);
    assertThat(after.byController().get(0).get(0).start())
        .isEqualTo(before.byController().get(0).get(0).start());
    assertThat(after.byController().get(0).get(1).start())
        .isEqualTo(before.byController().get(0).get(1).start());
    assertThat(exchanged.leg("c")).as("a port that the new device does not have").isEmpty();
    assertThat(after.blocks().get(1).displayStart())
        .isEqualTo(before.blocks().get(1).displayStart());
  }

  @Test
  void whatWasGivenIsHeldWhateverIsHungLater() {
    Plan held = new HoldGiven("k").applyTo(plan).plan();
    Plan later = patch(FIRST, "a", "d").applyTo(held).plan();
    var before = Resolver.resolve(plan);
    var after = Resolver.resolve(later);
    for (String piece : List.of("a", "b", "c")) {
      assertThat(startOf(after, piece)).isEqualTo(startOf(before, piece));
    }
    assertThat(startOf(after, "d")).isGreaterThan(startOf(before, "c"));
  }

  private static int startOf(hamper.resolve.Resolution resolution, String piece) {
    return resolution
        .placements()
        .filter(at -> at.piece().equals(piece))
        .findFirst()
        .flatMap(at -> at.controllerChannels())
        .orElseThrow()
        .start();
  }

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
            Say.gap("b", 3, 4.5, Gauge.awg(16)),
            Say.mirror("c", "a"),
            Say.section("b", 0, Section.of(20), Section.of(25)),
            SetPieces.between(
                plan.existingPiece("b").piece(),
                new hamper.display.PixelString("b", "new", "rgb", List.of(Section.of(3)))),
            new PutProps(List.of(Samples.string("e", 5), Samples.string("f", 5))),
            EditsBetween.fields(Samples.string("b", 9), renamed(Samples.string("b", 9))),
            new AddControllers("small", List.of("n")),
            new SetPort(FIRST, new RunChange(Change.stays(), Change.to(40))),
            EditsBetween.fields(
                plan.existingController("k"),
                plan.existingController("k")
                    .withSettings(
                        plan.existingController("k").settings().withBrightness(Optional.of(30)))),
            new RemoveProps(List.of("b", "d")),
            new SplitSection("b", 0, 8),
            new DuplicateProp("b", List.of("b2"), true),
            new PatchNearest(List.of("d")),
            new Together(
                "Two things", List.of(new RemoveProps(List.of("b")), new RemoveController("l"))),
            new PutZone(new Zone("z", "Quay", Optional.empty(), Optional.empty())),
            new PutController(Samples.controller("m", Protocol.ARTNET)),
            new RemoveController("k"),
            new MoveController("l", -1),
            new SetDisplay(
                Change.to("Other"),
                Optional.of(
                    new DisplaySettingsChange(
                        Change.to(10),
                        Change.to(5),
                        Change.to(25),
                        Change.stays(),
                        Change.stays()))),
            new PatchAcross(List.of("d", "b"), "k", Optional.empty()),
            new SetMode("k", Optional.of("all")),
            new ExchangeController("k", "small"),
            new HoldGiven("k"),
            new PutSubnet(SHOW),
            new AddToCatalogue(List.of(Samples.model("own", SMALL.dialect())), List.of()));
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
    Plan gapped = Say.gap("b", 2, 6.0, null).applyTo(plan).plan();
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
    Plan mirrored = Say.mirror("c", "a").applyTo(plan).plan();
    assertThatThrownBy(() -> new RemoveProps(List.of("a")).applyTo(mirrored))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("mirrorOf");
  }

  @Test
  void removingAZoneLeavesWhatLayInIt() {
    Plan zoned =
        new PutZone(new Zone("z", "Quay", Optional.empty(), Optional.empty())).applyTo(plan).plan();
    var prop = zoned.display().props().get(0);
    Plan inZone =
        EditsBetween.fields(
                prop,
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
    assertThat(Say.section("b", 0, Section.of(20), held).label(plan))
        .isEqualTo("Hold b at channel 301");
    assertThat(Say.section("b", 0, Section.of(20), Section.of(21)).label(plan))
        .isEqualTo("Set pixels of b to 21");
  }

  @Test
  void anInverseHoldsOnlyWhatDiffers() {
    Restore inverse = Say.section("b", 0, Section.of(20), Section.of(21)).applyTo(plan).inverse();
    assertThat(inverse.props().orElseThrow().changed()).hasSize(1);
    assertThat(inverse.controllers()).isEmpty();
  }

  @Test
  void aRunThatCarriesNothingIsNotKept() {
    Plan after = new UnpatchPieces(List.of("c")).applyTo(plan).plan();
    assertThat(after.existingController("k").runs()).extracting(Run::port).containsExactly(1);
  }
}
