package hamper.resolve;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.address.Packing;
import hamper.address.PortStart;
import hamper.address.Protocol;
import hamper.address.StartsPer;
import hamper.catalog.Catalog;
import hamper.catalog.DeviceModel;
import hamper.catalog.PortGroup;
import hamper.catalog.PortKind;
import hamper.catalog.PortMode;
import hamper.display.Circuit;
import hamper.display.Controller;
import hamper.display.ControllerSettings;
import hamper.display.Display;
import hamper.display.DisplaySettings;
import hamper.display.GridOrder;
import hamper.display.Hold;
import hamper.display.Leg;
import hamper.display.Piece;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.Prop;
import hamper.display.Run;
import hamper.display.SerialDimmer;
import hamper.display.StripDecoder;
import hamper.display.Wall;
import hamper.edit.PatchPieces;
import hamper.edit.UnpatchPieces;
import hamper.sample.RandomDisplays;
import hamper.sample.Samples;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Decoders, dimmers, circuits and walls stand where the crew set them. */
class KindsTest {
  private static final DeviceModel MIXED =
      new DeviceModel(
          "mixed",
          "Sample",
          "Mixed",
          "1",
          "",
          IntStream.range(0, PortKind.values().length)
              .mapToObj(
                  i ->
                      new PortGroup(
                          PortKind.values()[i],
                          List.of(new PortMode("all", 8, List.of())),
                          Optional.empty(),
                          List.of()))
              .toList(),
          Samples.model().protocols(),
          Samples.dialect(Packing.CONTIGUOUS, PortStart.NEXT_CHANNEL, StartsPer.SECTION),
          Map.of(),
          false);

  private static Prop prop(Piece piece) {
    return new Prop(piece.id(), piece.name(), Optional.empty(), Optional.empty(), List.of(piece));
  }

  private static Plan plan(List<Piece> pieces, Run... runs) {
    Controller controller =
        new Controller(
            "k",
            "K1",
            "K",
            "mixed",
            ControllerSettings.of(Protocol.E131),
            Optional.empty(),
            List.of(runs));
    List<Prop> props = new ArrayList<>(pieces.stream().map(KindsTest::prop).toList());
    props.add(Samples.string("s", 10));
    Display display =
        new Display(
            "Kinds",
            DisplaySettings.standard(),
            List.of(),
            List.of(),
            List.of(),
            props,
            List.of(controller));
    return new Plan(display, Catalog.of(List.of(MIXED), List.of(Samples.RGB)));
  }

  private static Run run(PortKind kind, int port, String piece) {
    return Run.of(kind, port, List.of(Leg.of(piece)));
  }

  private static Wall wall(Optional<Hold> hold) {
    return new Wall(
        "w",
        "w",
        GridOrder.reading(),
        Optional.empty(),
        Optional.of(new Wall.Resolution(32, 16)),
        Optional.empty(),
        Optional.empty(),
        hold);
  }

  @Test
  void pixelThenRelayThenPanelPortsFlowAndDmxLinesFollow() {
    Plan plan =
        plan(
            List.of(
                wall(Optional.empty()),
                new Circuit("c", "c", 128, false, Optional.empty()),
                new StripDecoder("d", "d", 129, 24, 6)),
            run(PortKind.DMX, 1, "d"),
            run(PortKind.PANEL, 1, "w"),
            run(PortKind.RELAY, 3, "c"),
            run(PortKind.PIXEL, 2, "s"));
    Resolution resolution = Resolver.resolve(plan);
    assertThat(resolution.placements())
        .extracting(at -> "%s %s".formatted(at.piece(), at.start().orElseThrow()))
        .containsExactly("s 1:1", "c 1:31", "w 1:32", "d 5:129");
    assertThat(resolution.blocks().get(0).usedChannels()).isEqualTo(31 + 32 * 16 * 3);
    assertThat(resolution.byController().get(0).get(3).channels()).isEqualTo(96);
  }

  @Test
  void aHeldWallIsPushedByNothing() {
    Plan plan =
        plan(
            List.of(wall(Optional.of(Hold.atChannel(513)))),
            run(PortKind.PANEL, 1, "w"),
            run(PortKind.PIXEL, 1, "s"));
    Placement held = Resolver.resolve(plan).byController().get(0).get(1);
    assertThat(held.start()).hasToString("Optional[2:1]");
    Plan without = new UnpatchPieces(List.of("s")).applyTo(plan).plan();
    assertThat(Resolver.resolve(without).byController().get(0).get(0).start())
        .isEqualTo(held.start());
  }

  @Test
  void aSerialLineTakesNoChannels() {
    Plan plan = plan(List.of(new SerialDimmer("u", "u", 7, 16)), run(PortKind.SERIAL, 1, "u"));
    Resolution resolution = Resolver.resolve(plan);
    assertThat(resolution.placements()).isEmpty();
    assertThat(resolution.blocks().get(0).channels()).isZero();
  }

  static List<Integer> seeds() {
    return IntStream.rangeClosed(1, 60).boxed().toList();
  }

  @ParameterizedTest(name = "seed {0}")
  @MethodSource("seeds")
  void movingALegAndMovingItBackGivesTheSamePlan(int seed) {
    Plan plan = RandomDisplays.of(seed, true);
    for (Controller controller : plan.display().controllers()) {
      for (Run run : controller.runs()) {
        if (run.kind() != PortKind.PIXEL || run.legs().isEmpty()) {
          continue;
        }
        String piece = run.legs().get(0).piece();
        Optional<String> next =
            run.legs().size() > 1 ? Optional.of(run.legs().get(1).piece()) : Optional.empty();
        PortRef home = new PortRef(controller.id(), run.kind(), run.port());
        PortRef away = new PortRef(controller.id(), run.kind(), 40);
        Plan moved = new PatchPieces(List.of(piece), away, Optional.empty()).applyTo(plan).plan();
        Plan back = new PatchPieces(List.of(piece), home, next).applyTo(moved).plan();
        assertThat(Resolver.resolve(back)).isEqualTo(Resolver.resolve(plan));
      }
    }
  }

  @ParameterizedTest(name = "seed {0}")
  @MethodSource("seeds")
  void displayChannelsAndSlotsAreOneToOneOverABlock(int seed) {
    Plan plan = RandomDisplays.of(seed, false);
    Map<Integer, String> slotOf = new HashMap<>();
    Resolver.resolve(plan)
        .placements()
        .filter(at -> at.start().isPresent())
        .forEach(
            at -> {
              String slot = at.controller() + " " + at.start().get();
              assertThat(slotOf.put(at.displayStart(), slot)).as(slot).isNull();
            });
    assertThat(slotOf.values()).doesNotHaveDuplicates();
  }
}
