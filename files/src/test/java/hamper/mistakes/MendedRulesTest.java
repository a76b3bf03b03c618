package hamper.mistakes;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.address.ColourOrder;
import hamper.address.Transport;
import hamper.check.Checks;
import hamper.check.Finding;
import hamper.check.Severity;
import hamper.config.Configuration;
import hamper.config.SendLine;
import hamper.config.SendList;
import hamper.display.Circuit;
import hamper.display.Display;
import hamper.display.Fixture;
import hamper.display.GridOrder;
import hamper.display.Hold;
import hamper.display.InputRange;
import hamper.display.Piece;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.display.Section;
import hamper.display.Subnet;
import hamper.display.Supply;
import hamper.display.Wall;
import hamper.edit.Edit;
import hamper.edit.EditsBetween;
import hamper.facts.Facts;
import hamper.files.CatalogueFiles;
import hamper.files.ConfigurationFiles;
import hamper.files.Json;
import hamper.network.Flow;
import hamper.samples.Yard;
import hamper.value.RecordShape;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Rules that were missing or wrong, each as a planner would meet it. */
class MendedRulesTest {
  private static Yard yard() {
    return Yard.empty(CatalogueFiles.shipped());
  }

  private static Yard edit(Yard yard, String json) {
    return yard.edit(Json.MAPPER.readValue(json, Edit.class));
  }

  private static Yard set(Yard yard, String controller, String settings) {
    return edit(
        yard,
        "{\"type\":\"SetControllers\",\"controllers\":[\"%s\"],\"set\":{\"settings\":%s}}"
            .formatted(controller, settings));
  }

  private static List<Finding> findings(Yard yard, String code) {
    return Checks.all(Facts.of(yard.plan())).stream()
        .filter(finding -> finding.code().equals(code))
        .toList();
  }

  private static Configuration told(Yard yard, String controller) {
    return Facts.of(yard.plan()).configurations().stream()
        .filter(one -> one.controller().equals(controller))
        .findFirst()
        .orElseThrow();
  }

  // configurations

  @Test
  void inputsByHandShiftWhatADeviceCountsInItsOwnChannels() {
    Yard yard = yard().controller("t1", "pelloway-wall-sender");
    set(yard, "t1", "{\"protocol\":\"E131\",\"firstUniverse\":5,\"universeSize\":510}");
    yard.hang(wall("ta", 20, 10), "t1", 1);
    assertThat(told(yard, "t1").outputs().get(0).sections().get(0).start().channel()).contains(1);
    yard.change("t1", one -> one.withInputs(Optional.of(List.of(new InputRange(1, 20, 510)))));
    assertThat(findings(yard, "dialect")).isEmpty();
    assertThat(told(yard, "t1").outputs().get(0).sections().get(0).start().channel())
        .contains(4 * 510 + 1);
  }

  @Test
  void aTableOfInputsPutsEachUniverseWhereThePlanHasIt() {
    Yard yard = yard().controller("t1", "velmo-reach-32").string("ta", "t1", 1, 400);
    set(yard, "t1", "{\"firstUniverse\":5}");
    yard.change("t1", one -> one.withInputs(Optional.of(List.of(new InputRange(1, 20, 510)))));
    Configuration told = told(yard, "t1");
    assertThat(told.outputs().get(0).sections().get(0).start().channel()).contains(1);
    assertThat(told.inputs())
        .filteredOn(input -> input.universe().equals(Optional.of(5)))
        .allMatch(input -> input.start().equals(Optional.of(1)));
  }

  @Test
  void packingThatADeviceCannotBeToldIsFoundWhereItMatters() {
    Yard yard = yard().controller("t1", "ostrand-five").string("ta", "t1", 1, 170);
    set(yard, "t1", "{\"packing\":\"CONTIGUOUS\",\"universeSize\":512}");
    assertThat(findings(yard, "dialect")).as("170 pixels fit").isEmpty();
    edit(
        yard,
        "{\"type\":\"SetSections\",\"sections\":[{\"piece\":\"ta\",\"index\":0}],\"set\":{\"pixels\":171}}");
    assertThat(findings(yard, "dialect"))
        .singleElement()
        .satisfies(finding -> assertThat(finding.message()).contains("straddle two universes"));
    Yard twelve = yard().controller("t1", "ostrand-twelve").string("ta", "t1", 1, 171);
    set(twelve, "t1", "{\"packing\":\"WHOLE_PIXEL\",\"universeSize\":512}");
    assertThat(findings(twelve, "dialect")).isEmpty();
    assertThat(ConfigurationFiles.json(told(twelve, "t1"))).contains("\"WHOLE_PIXEL\"");
  }

  @Test
  void severalRangesForADeviceThatTakesOneAreFoundAtIt() {
    Yard yard = yard().controller("t1", "ostrand-five").string("ta", "t1", 1, 50);
    set(yard, "t1", "{\"firstUniverse\":5}");
    yard.change(
        "t1",
        one ->
            one.withInputs(
                Optional.of(List.of(new InputRange(5, 1, 510), new InputRange(9, 2, 510)))));
    assertThat(findings(yard, "dialect"))
        .singleElement()
        .satisfies(finding -> assertThat(finding.message()).startsWith("T1 asks for 2 ranges"));
    yard.change(
        "t1",
        one ->
            one.withInputs(
                Optional.of(List.of(new InputRange(5, 1, 510), new InputRange(6, 2, 510)))));
    assertThat(findings(yard, "dialect")).as("two that are one").isEmpty();
  }

  @Test
  void oneControllerThatCannotBeToldStopsNoOther() {
    Yard yard = yard().controller("t1", "ostrand-twelve").string("ta", "t1", 1, 50);
    yard.controller("t2", "pelloway-wall-sender");
    set(yard, "t2", "{\"protocol\":\"E131\"}");
    yard.hang(wall("tw", 4000, 3000), "t2", 1);
    assertThat(findings(yard, "universe-range"))
        .singleElement()
        .satisfies(finding -> assertThat(finding.subjects().get(0).controller()).contains("t2"));
    Facts.of(yard.plan())
        .configurations()
        .forEach(one -> assertThat(ConfigurationFiles.json(one)).isNotBlank());
    assertThat(told(yard, "t1").outputs().get(0).sections()).hasSize(1);
  }

  // rules

  @Test
  void moreOverlapsThanAreToldAreCounted() {
    Yard yard = yard().controller("t1", "ostrand-twelve");
    for (int i = 0; i < 102; i++) {
      yard.string("t" + i, "t1", 1 + i % 12, held());
    }
    List<Finding> overlaps = findings(yard, "overlap");
    assertThat(overlaps).hasSize(5_001);
    assertThat(overlaps.get(5_000).message())
        .isEqualTo("Only 5,000 overlaps are told one by one; pieces meet in 5,151 places in all");
  }

  private static Section held() {
    return new Section(
        5,
        0,
        1,
        Optional.empty(),
        false,
        Optional.empty(),
        Optional.empty(),
        Optional.of(Hold.atChannel(1)));
  }

  private static Yard trimmed(double volts, int pixels) {
    Yard yard = yard().controller("t1", "ostrand-twelve").string("ta", "t1", 1, pixels);
    Display display = yard.plan().display();
    List<Supply> supplies =
        display.power().supplies().stream()
            .map(
                one ->
                    new Supply(
                        one.id(),
                        one.name(),
                        one.zone(),
                        volts,
                        one.amps(),
                        one.mains(),
                        one.efficiencyPercent()))
            .toList();
    return Yard.on(yard.plan().with(display.withPower(display.power().withSupplies(supplies))));
  }

  @Test
  void aTrimmedSupplyIsRightUpToFivePercentAndAnotherOneBeyondTen() {
    assertThat(findings(trimmed(12.5, 40), "supply-voltage")).isEmpty();
    assertThat(findings(trimmed(11.5, 40), "supply-voltage")).isEmpty();
    assertThat(findings(trimmed(13.0, 40), "supply-voltage"))
        .extracting(Finding::severity)
        .containsExactly(Severity.RISK);
    assertThat(findings(trimmed(13.5, 40), "supply-voltage"))
        .extracting(Finding::severity)
        .containsExactly(Severity.FAULT);
    assertThat(findings(trimmed(10.5, 40), "supply-voltage"))
        .extracting(Finding::severity)
        .containsExactly(Severity.FAULT);
  }

  @Test
  void aTrimmedSupplyHidesNoLowVoltage() {
    Yard yard = trimmed(11.5, 45);
    yard.leg("ta", leg -> leg.withGap(0, Optional.of(100.0), Optional.empty()));
    assertThat(findings(yard, "voltage-low")).isNotEmpty();
    assertThat(findings(yard, "supply-voltage")).isEmpty();
  }

  @Test
  void whatIsReservedIsNotSent() {
    Yard plain = yard().controller("t1", "ostrand-twelve").string("ta", "t1", 1, 200);
    Yard reserved = yard().controller("t1", "ostrand-twelve").string("ta", "t1", 1, 200);
    set(reserved, "t1", "{\"reserveUniverses\":10}");
    assertThat(lines(reserved)).isEqualTo(lines(plain));
    assertThat(flows(reserved)).isEqualTo(flows(plain));
    Yard bytes = yard().controller("t1", "quillby-wren").string("ta", "t1", 1, 50);
    List<Flow> before = flows(bytes);
    set(bytes, "t1", "{\"reserveChannels\":5000}");
    assertThat(lines(bytes)).extracting(SendLine::size).containsExactly(150);
    assertThat(flows(bytes)).isEqualTo(before);
  }

  private static List<SendLine> lines(Yard yard) {
    Facts facts = Facts.of(yard.plan());
    return SendList.of(facts.plan(), facts.resolution());
  }

  private static List<Flow> flows(Yard yard) {
    return Facts.of(yard.plan()).flows();
  }

  @Test
  void whatMirrorsAFixtureIsFound() {
    Yard yard = yard().controller("t1", "ostrand-twelve").string("ta", "t1", 1, 4);
    yard.hang(new Fixture("tf", "f", 10, 8), "t1", 1).hang(new Fixture("tg", "g", 30, 8), "t1", 1);
    edit(yard, "{\"type\":\"SetLegs\",\"pieces\":[\"ta\"],\"set\":{\"mirrorOf\":\"tf\"}}");
    assertThat(findings(yard, "hold-or-mirror"))
        .singleElement()
        .satisfies(one -> assertThat(one.message()).contains("slots of a DMX line"));
    edit(yard, "{\"type\":\"SetLegs\",\"pieces\":[\"ta\"],\"set\":{\"mirrorOf\":null}}");
    edit(yard, "{\"type\":\"SetLegs\",\"pieces\":[\"tg\"],\"set\":{\"mirrorOf\":\"tf\"}}");
    assertThat(findings(yard, "hold-or-mirror"))
        .singleElement()
        .satisfies(one -> assertThat(one.message()).contains("the slots it is set to"));
  }

  @Test
  void theOrderOfPropsIsNotThatOfHintsAboutColours() {
    Yard yard = yard().controller("t1", "ostrand-twelve");
    for (String id : List.of("tc", "ta", "tb")) {
      yard.string(id, "t1", 1, ordered("RGB"), ordered("GRB"));
    }
    List<Finding> told = findings(yard, "colour-orders");
    Plan plan = yard.plan();
    List<Prop> props = new ArrayList<>(plan.display().props());
    Collections.reverse(props);
    assertThat(told).hasSize(3);
    assertThat(findings(Yard.on(plan.with(plan.display().withProps(props))), "colour-orders"))
        .isEqualTo(told);
  }

  private static Section ordered(String order) {
    return new Section(
        5,
        0,
        1,
        Optional.empty(),
        false,
        Optional.of(new ColourOrder(order)),
        Optional.empty(),
        Optional.empty());
  }

  @Test
  void packetsOverWifiAreCounted() {
    Yard yard = yard();
    for (int i = 1; i <= 7; i++) {
      yard.controller("w" + i, "quillby-wren").string("s" + i, "w" + i, 1, 50);
    }
    assertThat(findings(yard, "traffic")).as("280 packets a second").isEmpty();
    yard.controller("w8", "quillby-wren").string("s8", "w8", 1, 50);
    assertThat(findings(yard, "traffic"))
        .singleElement()
        .satisfies(one -> assertThat(one.message()).contains("320 packets/s"));
  }

  private static Piece wall(String id, int width, int height) {
    return new Wall(
        id,
        id,
        GridOrder.reading(),
        Optional.empty(),
        Optional.of(new Wall.Resolution(width, height)),
        Optional.empty(),
        Optional.empty(),
        Optional.empty());
  }

  @Test
  void aCircuitMayBeMirrored() {
    Yard yard = yard().controller("t1", "quillby-wren-r");
    yard.hang(new Circuit("tr", "r", 128, false, Optional.empty()), "t1", 1);
    yard.hang(new Circuit("ts", "s", 128, false, Optional.empty()), "t1", 2);
    edit(yard, "{\"type\":\"SetLegs\",\"pieces\":[\"ts\"],\"set\":{\"mirrorOf\":\"tr\"}}");
    assertThat(findings(yard, "hold-or-mirror")).isEmpty();
  }

  @Test
  void withoutSnoopingTheSlowestLinkGetsTheMulticastOfAll() {
    Yard yard = Yard.empty(Backgrounds.CATALOG);
    Subnet show = yard.plan().subnets().existing("show");
    for (int i = 1; i <= 6; i++) {
      String id = "k" + i;
      yard.controller(id, "ostrand-twelve")
          .string("s" + i, id, 1, 500)
          .string("t" + i, id, 2, 500)
          .settings(id, s -> s.withTransport(Transport.MULTICAST));
    }
    yard.controller("w", "quillby-wren").string("a", "w", 1, 20);
    assertThat(codes(yard)).doesNotContain("traffic", "multicast-floods");
    yard.edit(
        EditsBetween.fields(
            show, RecordShape.with(show, "multicast", Optional.of(Subnet.Multicast.FLOODS))));
    assertThat(codes(yard)).contains("traffic", "multicast-floods");
  }

  private static List<String> codes(Yard yard) {
    return Checks.all(Facts.of(yard.plan())).stream().map(Finding::code).toList();
  }
}
