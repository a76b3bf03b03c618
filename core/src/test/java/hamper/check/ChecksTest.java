package hamper.check;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.address.ColourOrder;
import hamper.address.IpAddress;
import hamper.address.Protocol;
import hamper.address.Transport;
import hamper.catalog.Catalog;
import hamper.catalog.DeviceModel;
import hamper.catalog.PixelLimit;
import hamper.catalog.PortGroup;
import hamper.catalog.PortKind;
import hamper.catalog.PortMode;
import hamper.catalog.SectionOption;
import hamper.catalog.Told;
import hamper.display.Accepted;
import hamper.display.Controller;
import hamper.display.ControllerSettings;
import hamper.display.Display;
import hamper.display.DisplaySettings;
import hamper.display.Fixture;
import hamper.display.Hold;
import hamper.display.InputRange;
import hamper.display.Leg;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.display.Run;
import hamper.display.Section;
import hamper.facts.Facts;
import hamper.sample.Samples;
import hamper.value.RecordShape;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/**
 * Each mistake is found once, at the right place with the right numbers; its nearest neighbour is
 * not.
 */
class ChecksTest {
  private static List<Finding> findings(Plan plan) {
    return Checks.run(Facts.of(plan));
  }

  private static List<String> messages(Plan plan, String code) {
    return findings(plan).stream()
        .filter(finding -> finding.code().equals(code))
        .map(Finding::message)
        .toList();
  }

  /** A controller with an address, so that only the seeded mistake is there. */
  private static Controller k(Run... runs) {
    return addressed(Samples.controller("K1", Protocol.E131, runs), 512, Optional.of(1));
  }

  private static Controller addressed(
      Controller controller, int size, Optional<Integer> firstUniverse) {
    ControllerSettings plain = controller.settings();
    return controller.withSettings(
        new ControllerSettings(
            plain.mode(),
            plain.protocol(),
            Transport.UNICAST,
            Optional.of(new IpAddress("198.51.100.11")),
            firstUniverse,
            size,
            plain.packing(),
            plain.portStart(),
            plain.reserveUniverses(),
            plain.reserveChannels(),
            plain.brightness(),
            plain.source(),
            plain.zone()));
  }

  private static Prop held(String id, int pixels, int channel) {
    return Samples.string(
        id, "rgb", Section.of(pixels).withHold(Optional.of(Hold.atChannel(channel))));
  }

  @Test
  void aCorrectDisplayHasNothingToReport() {
    Plan plan =
        Samples.plan(
            List.of(Samples.string("a", 150), held("b", 100, 2001)),
            k(Samples.run(1, "a"), Samples.run(2, "b")));
    assertThat(findings(plan)).isEmpty();
  }

  @Test
  void checksHaveCodesOfTheirOwn() {
    Set<String> codes = new HashSet<>();
    Checks.ALL.forEach(
        check -> assertThat(codes.add(check.page().code())).as(check.page().code()).isTrue());
  }

  @Test
  void twoHeldSectionsThatCollideAreOneFault() {
    Plan plan =
        Samples.plan(
            List.of(held("a", 20, 1), held("b", 20, 31)),
            k(Samples.run(1, "a"), Samples.run(2, "b")));
    assertThat(messages(plan, "overlap"))
        .containsExactly("a on K1-1 and b on K1-2 share 30 channels, 1:31 to 1:60");
    assertThat(findings(plan)).hasSize(1);
    assertThat(findings(plan).get(0).subjects())
        .extracting(subject -> subject.piece().orElseThrow())
        .containsExactly("a", "b");
  }

  @Test
  void theModelsLimitBindsBeforeTheFrame() {
    Plan plan = Samples.plan(List.of(Samples.string("a", 801)), k(Samples.run(1, "a")));
    assertThat(messages(plan, "port-limit"))
        .containsExactly("K1-1 carries 801 pixels, 1 too many: the model drives 800");
    Plan fits = Samples.plan(List.of(Samples.string("a", 800)), k(Samples.run(1, "a")));
    assertThat(messages(fits, "port-limit")).isEmpty();
    assertThat(messages(fits, "frame-headroom"))
        .containsExactly("K1-1 takes 24.3 ms of a frame of 25.0 ms, 97 %");
  }

  @Test
  void theFrameBindsWhereTheShowIsFaster() {
    Display display =
        Samples.plan(List.of(Samples.string("a", 657)), k(Samples.run(1, "a"))).display();
    Display faster =
        new Display(
            display.name(),
            new DisplaySettings(1, 1, 50),
            List.of(),
            List.of(),
            List.of(),
            display.props(),
            display.controllers());
    assertThat(messages(new Plan(faster, Samples.catalog()), "port-limit"))
        .containsExactly(
            "K1-1 carries 657 pixels, 1 too many: 656 fit in a frame of 20.0 ms at 50 frames/s");
  }

  @Test
  void nullPixelsCountTowardsTheLimit() {
    Leg gapped = new Leg("a", 1, 2, Optional.empty());
    Plan plan =
        Samples.plan(
            List.of(Samples.string("a", 800)), k(Run.of(PortKind.PIXEL, 1, List.of(gapped))));
    assertThat(messages(plan, "port-limit"))
        .containsExactly("K1-1 carries 801 pixels (1 null), 1 too many: the model drives 800");
  }

  @Test
  void whatHangsNowhereIsTold() {
    Plan plan =
        Samples.plan(
            List.of(Samples.string("a", 10), Samples.string("b", 10)), k(Samples.run(1, "a")));
    assertThat(messages(plan, "not-patched")).containsExactly("b hangs on no port");
    assertThat(findings(plan).get(0).severity()).isEqualTo(Severity.RISK);
  }

  private static Controller listening(InputRange... inputs) {
    Controller plain = addressed(k(Samples.run(1, "a")), 510, Optional.of(1));
    return new Controller(
        plain.id(),
        plain.tag(),
        plain.name(),
        plain.model(),
        plain.settings(),
        Optional.of(List.of(inputs)),
        plain.runs());
  }

  @Test
  void inputsThatMissAHandfulOfChannelsAreAFault() {
    List<Prop> props = List.of(Samples.string("a", 345));
    assertThat(messages(Samples.plan(props, listening(new InputRange(1, 2, 510))), "inputs-short"))
        .containsExactly(
            "K1 is told to listen to universes 1 to 2 of 510 channels, which misses 15 channels of a");
    assertThat(messages(Samples.plan(props, listening(new InputRange(1, 3, 510))), "inputs-short"))
        .isEmpty();
  }

  @Test
  void inputsOfASmallerSizeMissTheEndOfEachUniverse() {
    List<Prop> props = List.of(Samples.string("a", 340));
    assertThat(messages(Samples.plan(props, listening(new InputRange(1, 2, 500))), "inputs-short"))
        .containsExactly(
            "K1 is told to listen to universes 1 to 2 of 500 channels, which misses 20 channels of a");
  }

  @Test
  void fixturesOnTopOfOneAnotherAndPastTheEndAreFaults() {
    List<Prop> props =
        List.of(fixture("wash", 1, 16), fixture("spot", 10, 16), fixture("head", 510, 4));
    Run line = Run.of(PortKind.DMX, 1, List.of(Leg.of("wash"), Leg.of("spot"), Leg.of("head")));
    Plan plan = Samples.plan(props, k(line));
    assertThat(messages(plan, "overlap"))
        .containsExactly("wash on K1-DMX1 and spot on K1-DMX1 share 7 channels, 1:10 to 1:16");
    assertThat(messages(plan, "fixture-past-end"))
        .containsExactly("head on K1-DMX1 uses slots 510 to 513");
  }

  private static Prop fixture(String id, int slot, int channels) {
    return new Prop(
        id, id, Optional.empty(), Optional.empty(), List.of(new Fixture(id, id, slot, channels)));
  }

  @Test
  void aUniverseBeyondTheProtocolIsAFault() {
    Plan plan =
        Samples.plan(
            List.of(Samples.string("a", 400)),
            addressed(
                Samples.controller("K1", Protocol.E131, Samples.run(1, "a")),
                512,
                Optional.of(63_998)));
    assertThat(messages(plan, "universe-range"))
        .containsExactly("K1 needs universe 64000; E1.31 has 1 to 63999");
  }

  @Test
  void unicastWithoutAnAddressIsARisk() {
    Plan plan =
        Samples.plan(
            List.of(Samples.string("a", 4)),
            Samples.controller("K1", Protocol.E131, Samples.run(1, "a")));
    assertThat(messages(plan, "no-address"))
        .containsExactly("K1 K1 gets its levels by unicast and has no address");
  }

  @Test
  void aLegOnAPortThatTheModeLacksIsKeptAndTold() {
    DeviceModel model = Samples.model();
    PortGroup twoModes =
        new PortGroup(
            PortKind.PIXEL,
            List.of(
                new PortMode("few", 2, List.of(new PixelLimit(3, 800))),
                new PortMode("many", 4, List.of(new PixelLimit(3, 400)))),
            Optional.empty(),
            List.of());
    DeviceModel small = with(model, List.of(twoModes), model.options());
    Plan plan =
        new Plan(
            Samples.plan(List.of(Samples.string("a", 4)), k(Samples.run(3, "a"))).display(),
            Catalog.of(List.of(small), List.of(Samples.RGB)));
    assertThat(messages(plan, "port-absent"))
        .containsExactly("K1-3 carries 1 leg, and K1 has 2 ports of this kind in its mode");
  }

  private static DeviceModel with(
      DeviceModel model, List<PortGroup> ports, Map<SectionOption, Told> options) {
    return new DeviceModel(
        model.id(),
        model.maker(),
        model.name(),
        model.revision(),
        model.note(),
        ports,
        model.protocols(),
        model.dialect(),
        options,
        model.wifi());
  }

  @Test
  void aDeviceThatTakesNoColourOrderSendsItsOwn() {
    DeviceModel model = Samples.model();
    Map<SectionOption, Told> options = new EnumMap<>(model.options());
    options.put(SectionOption.COLOUR_ORDER, Told.NOT);
    DeviceModel green =
        RecordShape.with(
            RecordShape.with(model, "options", options),
            "colourOrder",
            Optional.of(new ColourOrder("GRB")));
    Plan plan =
        new Plan(
            Samples.plan(List.of(Samples.string("a", 5)), k(Samples.run(1, "a"))).display(),
            Catalog.of(List.of(green), List.of(Samples.RGB)));
    assertThat(messages(plan, "dialect"))
        .containsExactly(
            "a on K1-1 asks for colour order RGB: the device has no such setting (Sample any)");
  }

  @Test
  void anOptionThatTheDeviceLacksIsAFaultAndNotForgotten() {
    DeviceModel model = Samples.model();
    Map<SectionOption, Told> options = new EnumMap<>(model.options());
    options.put(SectionOption.GROUP, Told.NOT);
    DeviceModel plain = with(model, model.ports(), options);
    Section grouped =
        new Section(
            12,
            0,
            3,
            Optional.empty(),
            false,
            Optional.empty(),
            Optional.empty(),
            Optional.empty());
    Plan plan =
        new Plan(
            Samples.plan(List.of(Samples.string("a", "rgb", grouped)), k(Samples.run(1, "a")))
                .display(),
            Catalog.of(List.of(plain), List.of(Samples.RGB)));
    assertThat(messages(plan, "dialect"))
        .containsExactly(
            "a on K1-1 asks for groups of 3: the device has no such setting (Sample any)");
  }

  @Test
  void aHoldByUniverseWithoutAFixedFirstUniverseDoesNotActAndIsTold() {
    Section section = Section.of(5).withHold(Optional.of(new Hold(Optional.of(4), 1)));
    Plan plan =
        Samples.plan(
            List.of(Samples.string("a", "rgb", section)),
            addressed(k(Samples.run(1, "a")), 512, Optional.empty()));
    assertThat(messages(plan, "hold-or-mirror"))
        .containsExactly(
            "a, section 1: it is held by universe, but the controller's first universe is not fixed");
  }

  @Test
  void anAcceptedRiskIsToldApartUntilItIsAnotherMatterAndAFaultIsNeverAccepted() {
    Plan loose = Samples.plan(List.of(Samples.string("a", 50)), k());
    Finding risk = findings(loose).get(0);
    Plan taken =
        loose.with(
            loose
                .display()
                .withAccepted(
                    List.of(
                        new Accepted(
                            Optional.of(risk.identity()),
                            risk.code(),
                            risk.message(),
                            "next year"))));
    assertThat(findings(taken)).isEmpty();
    assertThat(Checks.accepted(Facts.of(taken)))
        .containsExactly(new Checks.Taken(risk, "next year"));
    Plan called = taken.with(taken.display().withProps(List.of(named("Bow rail"))));
    assertThat(findings(called)).as("the same matter in other words").isEmpty();
    Plan renamed = taken.with(taken.display().withProps(List.of(Samples.string("b", 50))));
    assertThat(findings(renamed))
        .extracting(Finding::message)
        .containsExactly("b hangs on no port");
    assertThat(Checks.accepted(Facts.of(renamed))).isEmpty();

    Plan over = Samples.plan(List.of(Samples.string("a", 801)), k(Samples.run(1, "a")));
    Finding fault = findings(over).get(0);
    Plan wished =
        over.with(
            over.display()
                .withAccepted(
                    List.of(
                        new Accepted(
                            Optional.of(fault.identity()),
                            fault.code(),
                            fault.message(),
                            "please"))));
    assertThat(findings(wished)).contains(fault);
  }

  private static Prop named(String name) {
    Prop prop = Samples.string("a", 50);
    return new Prop(prop.id(), name, prop.zone(), prop.brightness(), prop.pieces());
  }

  @Test
  void findingsOfOneDisplayHaveIdentitiesThatDiffer() {
    Plan plan =
        Samples.plan(
            List.of(Samples.string("a", 900), Samples.string("b", 900), Samples.string("c", 50)),
            k(Samples.run(1, "a"), Samples.run(2, "b")));
    assertThat(findings(plan)).extracting(Finding::identity).doesNotHaveDuplicates();
  }
}
