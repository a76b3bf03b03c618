package hamper.files;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.address.Protocol;
import hamper.config.Configuration;
import hamper.config.Output;
import hamper.config.SendList;
import hamper.config.Untold;
import hamper.display.Controller;
import hamper.display.Display;
import hamper.display.HungRun;
import hamper.display.Piece;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.display.SerialDimmer;
import hamper.display.StripDecoder;
import hamper.edit.Edit;
import hamper.edit.SetSections;
import hamper.facts.Facts;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Each device is told the plan in its own terms, or the planner is told that it cannot be. */
class DeviceConfigurationTest {
  private static Facts demo() throws IOException {
    return facts(Files.readString(DisplayFileTest.DEMO));
  }

  private static Facts facts(String json) {
    return Facts.of(
        DisplayFile.read(json.getBytes(StandardCharsets.UTF_8), CatalogueFiles.shipped()));
  }

  private static Configuration of(Facts facts, String tag) {
    return facts.configurations().stream()
        .filter(configuration -> configuration.tag().equals(tag))
        .findFirst()
        .orElseThrow();
  }

  private static Output port(Configuration configuration, int port) {
    return configuration.outputs().stream()
        .filter(output -> output.port() == port)
        .findFirst()
        .orElseThrow();
  }

  /** One controller with one 100-pixel string on each named port. */
  private static String small(String model, String protocol, String sections, int... ports) {
    StringBuilder props = new StringBuilder();
    StringBuilder runs = new StringBuilder();
    for (int port : ports) {
      props.append(
          """
          %s{"id": "p%d", "name": "P%d", "pieces": [{"kind": "string", "id": "s%d", "name": "s",
             "pixelType": "node-12v", "sections": %s}]}
          """
              .formatted(props.isEmpty() ? "" : ",", port, port, port, sections));
      runs.append(
          "%s{\"port\": %d, \"legs\": [{\"piece\": \"s%d\"}]}"
              .formatted(runs.isEmpty() ? "" : ",", port, port));
    }
    return """
        {"format": "hamper-display", "formatVersion": 1, "name": "Small", "props": [%s],
         "controllers": [{"id": "k", "tag": "K1", "name": "K", "model": "%s",
           "settings": {"protocol": "%s", "universeSize": 510, "address": "198.51.100.9"},
           "runs": [%s]}]}
        """
        .formatted(props, model, protocol, runs);
  }

  private static final String PLAIN = "[{\"pixels\": 100}]";

  @Test
  void theTwelveTakesUniverseAndChannelForEverySection() throws IOException {
    Output gangway = port(of(demo(), "K1"), 4);
    assertThat(gangway.sections())
        .extracting(section -> section.start().toString())
        .allMatch(
            start -> start.contains("universe=Optional[") && start.contains("channel=Optional["));
    assertThat(gangway.sections().get(1).nullPixels()).contains(2);
    assertThat(gangway.sections().get(2).nullPixels()).contains(3);
  }

  @Test
  void theFiveTakesOneUniverseAPortCountedFromOne() throws IOException {
    Configuration five = of(demo(), "K2");
    assertThat(five.outputs()).hasSize(5);
    assertThat(five.inputs()).hasSize(1);
    int first = five.inputs().get(0).universe().orElseThrow();
    assertThat(port(five, 1).start().universe()).contains(first);
    assertThat(port(five, 2).start().universe()).contains(first + 2);
    assertThat(port(five, 3).start().universe()).contains(first + 3);
    assertThat(port(five, 1).start().channel()).isEmpty();
    assertThat(port(five, 5).used()).isFalse();
    int wire =
        SendList.of(demo().plan(), demo().resolution()).stream()
            .filter(line -> line.controller().equals("K2"))
            .findFirst()
            .orElseThrow()
            .firstUniverse()
            .orElseThrow();
    assertThat(first).isEqualTo(wire + 1);
  }

  @Test
  void theWrenTakesCountsOnlyAtItsPins() throws IOException {
    Configuration wren = of(demo(), "K3");
    assertThat(wren.outputs()).extracting(Output::label).containsExactly("D4", "D5");
    assertThat(wren.outputs()).extracting(Output::pixels).containsExactly(310, 246);
    assertThat(wren.outputs())
        .extracting(Output::start)
        .containsOnly(port(wren, 1).sections().get(0).start());
    assertThat(wren.inputs()).extracting(input -> input.size()).containsExactly(1668);
  }

  @Test
  void theBridgeTakesAUniverseALineAndSlotsAreSetAtTheFixtures() throws IOException {
    Configuration bridge = of(demo(), "K5");
    assertThat(bridge.outputs()).hasSize(6);
    assertThat(port(bridge, 1).start().channel()).isEmpty();
    assertThat(port(bridge, 1).sections())
        .extracting(section -> section.slot().orElseThrow())
        .containsExactly(1, 9, 17, 25, 101, 129);
    assertThat(port(bridge, 3).used()).isFalse();
  }

  @Test
  void aHoldOnTheWrenCannotBeTold() {
    String held = "[{\"pixels\": 100, \"hold\": {\"channel\": 31}}]";
    assertThat(of(facts(small("quillby-wren", "DDP", held, 1)), "K1").untold())
        .extracting(Untold::what)
        .containsExactly(
            "a start at channel 31: ports of this device follow each other, so it would start at 1");
    assertThat(of(facts(small("quillby-wren", "DDP", PLAIN, 1, 2)), "K1").untold()).isEmpty();
  }

  @Test
  void aGroupAndAHoldOffTheUniversesStartCannotBeToldToTheFive() {
    String grouped = "[{\"pixels\": 100, \"group\": 5, \"hold\": {\"channel\": 31}}]";
    assertThat(of(facts(small("ostrand-five", "E131", grouped, 1)), "K1").untold())
        .extracting(Untold::what)
        .containsExactlyInAnyOrder(
            "groups of 5: the device has no such setting",
            "a start at 1:31: a port of this device starts at channel 1 of a universe");
    assertThat(of(facts(small("ostrand-five", "E131", PLAIN, 1, 3)), "K1").untold()).isEmpty();
  }

  @Test
  void twoColourOrdersOnOnePortOfTheFiveCannotBeTold() {
    String two = "[{\"pixels\": 10}, {\"pixels\": 10, \"colourOrder\": \"GRB\"}]";
    assertThat(of(facts(small("ostrand-five", "E131", two, 1)), "K1").untold())
        .extracting(Untold::what)
        .containsExactly("colour order GRB: this port has RGB");
  }

  @Test
  void theSamePlanGivesTheSameBytesAndAnotherGivesAnotherFingerprint() throws IOException {
    Configuration once = of(demo(), "K1");
    assertThat(ConfigurationFiles.json(once)).isEqualTo(ConfigurationFiles.json(of(demo(), "K1")));
    String changed =
        Files.readString(DisplayFileTest.DEMO).replaceFirst("\"pixels\": 340", "\"pixels\": 341");
    assertThat(ConfigurationFiles.fingerprint(of(facts(changed), "K1")))
        .isNotEqualTo(ConfigurationFiles.fingerprint(once));
  }

  private static Map<String, String> fingerprints(Plan plan) {
    Map<String, String> prints = new LinkedHashMap<>();
    Facts.of(plan)
        .configurations()
        .forEach(one -> prints.put(one.controller(), ConfigurationFiles.fingerprint(one)));
    return prints;
  }

  @Test
  void whatPeopleCallThingsIsInNoFingerprint() throws IOException {
    Plan plan = demo().plan();
    Map<String, String> before = fingerprints(plan);
    Display display = plan.display();
    List<Prop> props =
        display.props().stream()
            .map(
                prop ->
                    new Prop(
                        prop.id(),
                        "X " + prop.name(),
                        prop.zone(),
                        prop.brightness(),
                        prop.pieces()))
            .toList();
    List<Controller> controllers =
        display.controllers().stream()
            .map(
                one ->
                    new Controller(
                        one.id(),
                        "X" + one.tag(),
                        "X " + one.name(),
                        one.model(),
                        one.settings(),
                        one.inputs(),
                        one.sending(),
                        one.adapters(),
                        one.cables(),
                        one.powered(),
                        one.runs()))
            .toList();
    Plan renamed =
        plan.with(
            display
                .withNameAndSettings("Another quay", display.settings())
                .withProps(props)
                .withControllers(controllers));
    assertThat(fingerprints(renamed)).isEqualTo(before);
  }

  @Test
  void onePixelMoreChangesTheRightFingerprintOnly() throws IOException {
    Plan plan = demo().plan();
    Map<String, String> before = fingerprints(plan);
    // the last section of a wall, which nothing of another controller follows
    HungRun last =
        plan.runs()
            .filter(HungRun::carriesPixels)
            .filter(run -> run.controller().protocol() == Protocol.DDP)
            .reduce((first, second) -> second)
            .orElseThrow();
    PixelString string = last.legs().get(last.legs().size() - 1).at().string();
    Edit edit =
        SetSections.between(
            new SetSections.At(string.id(), string.sections().size() - 1),
            string.sections().get(string.sections().size() - 1),
            string
                .sections()
                .get(string.sections().size() - 1)
                .withPixels(string.sections().get(string.sections().size() - 1).pixels() + 1));
    Map<String, String> after = fingerprints(edit.applyTo(plan).plan());
    assertThat(after.keySet().stream().filter(id -> !after.get(id).equals(before.get(id))).toList())
        .containsExactly(last.controller().id());
  }

  @Test
  void aDocumentOfVersionOneCanBeRead() throws IOException {
    byte[] first =
        getClass()
            .getResourceAsStream("/configuration-files/version-1.configuration.json")
            .readAllBytes();
    JsonNode read = ConfigurationFiles.read(first);
    JsonNode now =
        ConfigurationFiles.read(
            ConfigurationFiles.bytes(ConfigurationFiles.json(of(demo(), "K1"))));
    assertThat(read.get("about")).isEqualTo(now.get("about"));
    assertThat(read.at("/told/inputs")).isEqualTo(now.at("/told/inputs"));
    for (int i = 0; i < now.at("/told/outputs").size(); i++) {
      ObjectNode output = (ObjectNode) now.at("/told/outputs").get(i);
      output.remove("channelsPerPixel"); // which version 1 did not say
      assertThat(read.at("/told/outputs").get(i)).isEqualTo(output);
    }
  }

  @Test
  void decodersAndDimmerPacksHaveDocumentsOfTheirOwn() throws IOException {
    Plan plan = demo().plan();
    Map<String, String> units = UnitFiles.all(plan);
    assertThat(units).isNotEmpty();
    for (var unit : units.entrySet()) {
      JsonNode root = Formats.read(ConfigurationFiles.bytes(unit.getValue()), "unit");
      Piece piece = plan.existingPiece(unit.getKey()).piece();
      JsonNode told = root.get("told");
      if (piece instanceof StripDecoder decoder) {
        assertThat(told.get("slot").asInt()).isEqualTo(decoder.slot());
        assertThat(told.get("pixels").asInt()).isEqualTo(decoder.pixels());
        assertThat(told.get("ledsPerPixel").asInt()).isEqualTo(decoder.ledsPerPixel());
      } else {
        SerialDimmer dimmer = (SerialDimmer) piece;
        assertThat(told.get("number").asInt()).isEqualTo(dimmer.unit());
        assertThat(told.get("circuits").asInt()).isEqualTo(dimmer.circuits());
      }
    }
  }

  @Test
  void everyDocumentKeepsToThePublishedSchema() throws IOException {
    for (Configuration configuration : demo().configurations()) {
      byte[] bytes = ConfigurationFiles.bytes(ConfigurationFiles.json(configuration));
      JsonNode root = Formats.read(bytes, "configuration");
      assertThat(root.at("/about/tag").asString()).isEqualTo(configuration.tag());
    }
  }

  @Test
  void theSendListNamesEveryUniverseOnceAndItsDestination() throws IOException {
    String csv = ConfigurationFiles.sendListCsv(SendList.of(demo().plan(), demo().resolution()));
    assertThat(csv.lines().toList())
        .startsWith(
            "source,controller,protocol,transport,destination,first universe,universes,size,offset,priority,full universes,synchronization,display start")
        .contains(
            "H1,K1,E131,MULTICAST,239.255.0.1,1,14,510,,100,false,,1",
            "H1,K6,E131,UNICAST,198.51.100.16,41,20,510,,100,false,5000,17483",
            "H2,K6,E131,UNICAST,198.51.100.16,41,20,510,,50,false,5000,17483")
        .as("a device that plays its own storage")
        .noneMatch(line -> line.contains(",K8,"))
        .anyMatch(line -> line.startsWith("H1,K3,DDP,UNICAST,198.51.100.13,,0,1668,0,"));
  }

  @Test
  void addressesAsCsvNameWhatOverlaps() throws IOException {
    Facts facts = demo();
    List<String> lines =
        AddressFiles.csv(AddressTable.of(facts.plan(), facts.resolution())).lines().toList();
    assertThat(lines)
        .anyMatch(
            line ->
                line.contains("Tide clock rim")
                    && line.endsWith("K1-6 position 1, 90 channels 9:271 to 9:360\""));
    assertThat(lines).hasSize((int) facts.resolution().placements().count() + 1);
  }

  @Test
  void noCellStartsAFormula() {
    String formula = small("ostrand-twelve", "E131", PLAIN, 1).replace("\"P1\"", "\"=1+1\"");
    Facts facts = facts(formula);
    assertThat(AddressFiles.csv(AddressTable.of(facts.plan(), facts.resolution())))
        .contains(",'=1+1,")
        .doesNotContain(",=1");
  }

  @Test
  void onDdpTheTwelvesCousinIsToldByteOffsets() throws IOException {
    JsonNode json =
        Json.MAPPER.readTree(
            AddressFiles.json(AddressTable.of(demo().plan(), demo().resolution())));
    JsonNode lamp =
        json.get("sections")
            .valueStream()
            .filter(row -> row.get("prop").asString().equals("Tower lamp ring"))
            .findFirst()
            .orElseThrow();
    assertThat(lamp.get("offset").asInt()).isEqualTo(930);
    assertThat(lamp.get("length").asInt()).isEqualTo(252);
    assertThat(lamp.has("startUniverse")).isFalse();
  }
}
