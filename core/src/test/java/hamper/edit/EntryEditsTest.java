package hamper.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hamper.address.Protocol;
import hamper.catalog.FrameTime;
import hamper.catalog.PortKind;
import hamper.display.Circuit;
import hamper.display.Controller;
import hamper.display.DisplaySettings;
import hamper.display.Fixture;
import hamper.display.GridOrder;
import hamper.display.GridOrder.Corner;
import hamper.display.GridOrder.Lines;
import hamper.display.Hold;
import hamper.display.Panels;
import hamper.display.Piece;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.PortLimit;
import hamper.display.Prop;
import hamper.display.Run;
import hamper.display.Section;
import hamper.display.Wall;
import hamper.display.Zone;
import hamper.sample.Samples;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What makes a first evening short: copies, nearest ports, several edits as one step. */
class EntryEditsTest {
  private static Prop prop(String id, String zone, Piece... pieces) {
    return new Prop(id, id, Optional.ofNullable(zone), Optional.of(20), List.of(pieces));
  }

  private static PixelString string(String id, String dataIn, Section... sections) {
    return new PixelString(
        id, "one", "rgb", List.of(sections), dataIn, "JST", 1.5, Optional.empty());
  }

  private static Controller in(String zone, Controller controller) {
    return controller.withSettings(controller.settings().withZone(Optional.of(zone)));
  }

  private static final DisplaySettings QUICK = new DisplaySettings(1, 1, 200);

  /** A model may drive more pixels than a frame has time for. */
  @Test
  void theNearestPortHasTimeForAFrameToo() {
    int byFrame = FrameTime.mostPlaces(Samples.RGB, QUICK.framesPerSecond());
    int byModel = PortLimit.ofModel(filled(1), filled(1).existingController("k"), Samples.RGB);
    assertThat(byFrame).as("otherwise there is nothing to be seen").isLessThan(byModel);
    assertThatThrownBy(() -> new PatchNearest(List.of("b")).applyTo(filled(byFrame)))
        .hasMessageContaining("no pixel port of any controller has room");
    assertThat(new PatchNearest(List.of("b")).applyTo(filled(byFrame - 1)).plan().leg("b"))
        .isPresent();
  }

  /** All ports full but for what a string of one pixel needs, or not even that. */
  private static Plan filled(int pixels) {
    Plan one = Samples.plan(List.of(), Samples.controller("k", Protocol.E131));
    int ports = one.modeOf(one.existingController("k"), PortKind.PIXEL).orElseThrow().ports();
    List<Prop> props =
        IntStream.rangeClosed(1, ports)
            .mapToObj(port -> Samples.string("p" + port, pixels))
            .collect(Collectors.toCollection(ArrayList::new));
    props.add(Samples.string("b", 1));
    Plan plan =
        Samples.plan(
            props,
            Samples.controller(
                "k",
                Protocol.E131,
                IntStream.rangeClosed(1, ports)
                    .mapToObj(port -> Samples.run(port, "p" + port))
                    .toArray(Run[]::new)));
    return plan.with(plan.display().withNameAndSettings("Quick", QUICK));
  }

  @Test
  void circuitsOfACopyLockEachOtherOutAndNotThoseOfTheOriginal() {
    Prop winch = prop("w", null, locked("up"), locked("down"));
    Plan plan = Samples.plan(List.of(winch));
    Plan after = new DuplicateProp("w", List.of("x"), false).applyTo(plan).plan();
    Plan again = new DuplicateProp("x", List.of("y"), false).applyTo(after).plan();
    assertThat(again.display().props())
        .extracting(
            one ->
                one.pieces().stream()
                    .map(piece -> ((Circuit) piece).interlock().orElseThrow())
                    .distinct()
                    .toList())
        .containsExactly(List.of("winch"), List.of("winch, w 2"), List.of("winch, w 3"));
  }

  private static Circuit locked(String id) {
    return new Circuit(
        id,
        id,
        128,
        false,
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.of("winch"));
  }

  @Test
  void copiesFollowTheirOriginalHangNowhereAndHoldNothing() {
    Section held = Section.of(9).withHold(Optional.of(Hold.atChannel(7)));
    Prop bollard =
        prop(
            "b",
            null,
            string("b-1", "left", held, Section.of(4)),
            new Circuit("b-2", "lamp", 128, false, Optional.of(Hold.atChannel(90))));
    Prop first = new Prop("b", "Bollard 1", bollard.zone(), bollard.brightness(), bollard.pieces());
    Plan plan =
        Samples.plan(
            List.of(first, Samples.string("z", 3)),
            Samples.controller("k", Protocol.E131, Samples.run(1, "b-1")));
    Plan after = new DuplicateProp("b", List.of("c", "d"), false).applyTo(plan).plan();
    assertThat(after.display().props()).extracting(Prop::id).containsExactly("b", "c", "d", "z");
    Prop copy = after.display().props().get(1);
    assertThat(copy)
        .isEqualTo(
            new Prop(
                "c",
                "Bollard 2",
                Optional.empty(),
                Optional.of(20),
                List.of(
                    string("c-1", "left", Section.of(9), Section.of(4)),
                    new Circuit("c-2", "lamp", 128, false, Optional.empty()))));
    assertThat(after.leg("c-1")).isEmpty();
    assertThatThrownBy(() -> new DuplicateProp("b", List.of("z"), false).applyTo(plan))
        .hasMessageContaining("it is used already");
  }

  @Test
  void aMirrorImageHasItsPlugAndItsFirstCornerOnTheOtherSide() {
    GridOrder chain = new GridOrder(Corner.BOTTOM_RIGHT, Lines.ROWS, true);
    Wall wall =
        new Wall(
            "w",
            "wall",
            new GridOrder(Corner.TOP_LEFT, Lines.COLUMNS, true),
            Optional.of(new Panels(64, 32, 2, 3, chain, List.of())),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty());
    Prop pair =
        prop(
            "p",
            null,
            string("s", "Left side", Section.of(5)),
            string("t", "at the west", Section.of(6)),
            string("u", "stern", Section.of(7)),
            wall);
    Plan after =
        new DuplicateProp("p", List.of("q"), true).applyTo(Samples.plan(List.of(pair))).plan();
    List<Piece> pieces = after.display().props().get(1).pieces();
    assertThat(pieces.subList(0, 3))
        .extracting(piece -> ((PixelString) piece).dataIn())
        .containsExactly("Right side", "at the east", "stern");
    Wall turned = (Wall) pieces.get(3);
    assertThat(turned.order()).isEqualTo(new GridOrder(Corner.TOP_RIGHT, Lines.COLUMNS, true));
    assertThat(turned.panels().orElseThrow().order())
        .isEqualTo(new GridOrder(Corner.BOTTOM_LEFT, Lines.ROWS, true));
  }

  @Test
  void thePieceGoesToItsOwnZoneThenToTheNearestThenWhereThereIsRoom() {
    Plan plan =
        Samples.plan(
            List.of(
                Samples.zone("quay", 0, 0),
                Samples.zone("tower", 30, 40),
                Samples.zone("far", 300, 0)),
            List.of(
                prop("a", "tower", string("a-1", "", Section.of(700))),
                prop("b", "tower", string("b-1", "", Section.of(200))),
                prop("c", "quay", string("c-1", "", Section.of(10))),
                prop("d", null, string("d-1", "", Section.of(10))),
                prop("f", "tower", new Fixture("f-1", "fog", 1, 10)),
                prop("g", "tower", new Fixture("g-1", "flood", 5, 10))));
    Plan placed =
        plan.with(
            plan.display()
                .withControllers(
                    List.of(
                        in("far", Samples.controller("k", Protocol.E131)),
                        in("quay", Samples.controller("l", Protocol.E131)))));
    Plan after =
        new PatchNearest(List.of("a-1", "b-1", "c-1", "d-1", "f-1", "g-1")).applyTo(placed).plan();
    assertThat(List.of("a-1", "b-1", "c-1", "d-1", "f-1", "g-1"))
        .extracting(piece -> after.written(after.leg(piece).orElseThrow().port()))
        .containsExactly("l-1", "l-2", "l-3", "k-1", "l-DMX1", "l-DMX2");
    assertThatThrownBy(() -> new PatchNearest(List.of("a-1")).applyTo(plan))
        .hasMessageContaining("no pixel port of any controller has room for it");
  }

  /** Every port of two controllers that are equally far, and more strings than there are ports. */
  @Test
  void freePortsOfAnyNearControllerComeBeforeFullOnesAndFusesAreNotOverloaded() {
    List<Prop> props =
        IntStream.rangeClosed(1, 100)
            .mapToObj(i -> Samples.string("p" + i, "node", Section.of(200)))
            .toList();
    Plan bare = Samples.plan(props);
    Plan plan =
        bare.with(
            bare.display()
                .withControllers(
                    List.of(
                        Samples.controller("k", Protocol.E131),
                        Samples.controller("l", Protocol.E131))));
    List<String> first = props.subList(0, 96).stream().map(Prop::id).toList();
    Plan full = new PatchNearest(first).applyTo(plan).plan();
    assertThat(first.stream().map(id -> full.leg(id).orElseThrow().port()).distinct())
        .as("48 ports on each of them, one string on each port")
        .hasSize(96);
    // 200 pixels of 12 V take 2.7 A at the usual brightness; two of them would take 5.3 of 5 A
    assertThatThrownBy(() -> new PatchNearest(List.of("p97")).applyTo(full))
        .hasMessageContaining("no pixel port of any controller has room for it");
    Prop small = Samples.string("small", "node", Section.of(90));
    Plan more =
        full.with(
            full.display().withProps(Stream.concat(props.stream(), Stream.of(small)).toList()));
    assertThat(new PatchNearest(List.of("small")).applyTo(more).plan().leg("small")).isPresent();
  }

  @Test
  void severalEditsAreOneStepOrNone() {
    Plan plan = Samples.plan(List.of(Samples.string("a", 10)));
    Zone quay = new Zone("quay", "Quay", Optional.empty(), Optional.empty());
    Together both =
        new Together(
            "Paste 1 prop",
            List.of(
                new PutZone(quay),
                new PutProps(List.of(prop("b", "quay", string("b-1", "", Section.of(5)))))));
    Edit.Applied done = both.applyTo(plan);
    assertThat(both.label(plan)).isEqualTo("Paste 1 prop");
    assertThat(done.plan().display().props()).hasSize(2);
    assertThat(done.inverse().applyTo(done.plan()).plan().display()).isEqualTo(plan.display());
    Together broken =
        new Together("x", List.of(new PutZone(quay), new RemoveProps(List.of("nobody"))));
    assertThatThrownBy(() -> broken.applyTo(plan)).hasMessageContaining("edits[1].prop");
  }
}
