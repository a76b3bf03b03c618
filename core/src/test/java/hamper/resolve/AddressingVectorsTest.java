package hamper.resolve;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.address.ChannelSpan;
import hamper.address.PortAddress;
import hamper.address.Protocol;
import hamper.address.UniverseChannel;
import hamper.display.Controller;
import hamper.display.Plan;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Every case of the addressing vectors: an independent program worked them out. */
class AddressingVectorsTest {
  @TestFactory
  Stream<DynamicTest> everyAddressIsWhatAnIndependentProgramWorkedOut() throws IOException {
    JsonNode cases;
    try (InputStream in = getClass().getResourceAsStream("/vectors/addressing.json")) {
      cases = JsonMapper.shared().readTree(in);
    }
    assertThat(cases.size()).isGreaterThanOrEqualTo(119);
    return cases
        .valueStream()
        .map(vector -> DynamicTest.dynamicTest(vector.get("name").asString(), () -> check(vector)));
  }

  private static void check(JsonNode vector) {
    Plan plan = VectorDisplay.plan(vector);
    Resolution resolution = Resolver.resolve(plan);
    JsonNode expected = vector.get("expected");
    assertThat(sections(plan, resolution)).isEqualTo(plain(expected.get("sections")));
    assertThat(blocks(plan, resolution)).isEqualTo(plain(expected.get("controllers")));
    assertThat(overlaps(plan, resolution)).isEqualTo(plain(expected.get("overlaps")));
  }

  private static List<String> sections(Plan plan, Resolution resolution) {
    return resolution.placements().map(placement -> told(plan, placement).toString()).toList();
  }

  private static Map<String, Object> told(Plan plan, Placement at) {
    Controller controller = plan.display().controllers().get(at.controller());
    Map<String, Object> told = place(plan, at);
    if (at.pixels() > 0) {
      told.put("pixels", at.pixels());
      told.put("addresses", at.addresses());
    }
    told.put("channels", at.channels());
    ChannelSpan span = at.controllerChannels().orElseThrow();
    told.put("controllerStart", span.start());
    told.put("controllerEnd", span.last());
    told.put("displayStart", at.displayStart());
    told.put("displayEnd", at.displayEnd());
    if (controller.protocol() == Protocol.DDP) {
      told.put("offset", span.start() - 1);
      told.put("length", span.length());
    }
    at.start().ifPresent(start -> putStart(told, plan, controller, start));
    at.end()
        .ifPresent(
            end -> {
              told.put("endUniverse", end.universe());
              told.put("endChannel", end.channel());
            });
    return told;
  }

  private static void putStart(
      Map<String, Object> told, Plan plan, Controller controller, UniverseChannel start) {
    told.put("startUniverse", start.universe());
    told.put("startChannel", start.channel());
    told.put(
        "deviceUniverse",
        plan.modelOf(controller).dialect().written(controller.protocol(), start.universe()));
    if (controller.protocol() == Protocol.ARTNET) {
      PortAddress port = new PortAddress(start.universe());
      told.put(
          "artnet",
          new TreeMap<>(
              Map.of("net", port.net(), "subNet", port.subNet(), "universe", port.universe())));
    }
  }

  private static List<String> blocks(Plan plan, Resolution resolution) {
    List<String> told = new ArrayList<>();
    for (ControllerBlock block : resolution.blocks()) {
      Controller controller = plan.controller(block.controller()).orElseThrow();
      Map<String, Object> one = new TreeMap<>();
      one.put("name", controller.name());
      one.put("channels", block.channels());
      one.put("universes", block.universes());
      if (controller.protocol() != Protocol.NONE) {
        one.put("usedChannels", block.usedChannels());
      }
      block.firstUniverse().ifPresent(first -> one.put("firstUniverse", first));
      if (block.displayStart() > 0) {
        one.put("displayStart", block.displayStart());
      }
      told.add(one.toString());
    }
    return told;
  }

  private static List<String> overlaps(Plan plan, Resolution resolution) {
    List<String> told = new ArrayList<>();
    for (Overlap overlap : resolution.overlaps().pairs()) {
      Map<String, Object> one = new TreeMap<>();
      one.put("a", place(plan, overlap.a()));
      one.put("b", place(plan, overlap.b()));
      one.put("channels", overlap.channels());
      putSlot(one, "first", overlap.first());
      putSlot(one, "last", overlap.last());
      overlap.firstOffset().ifPresent(offset -> one.put("firstOffset", offset));
      overlap.lastOffset().ifPresent(offset -> one.put("lastOffset", offset));
      told.add(one.toString());
    }
    return told;
  }

  private static void putSlot(
      Map<String, Object> told, String name, Optional<UniverseChannel> slot) {
    slot.ifPresent(at -> told.put(name, List.of(at.universe(), at.channel())));
  }

  private static Map<String, Object> place(Plan plan, Placement at) {
    Map<String, Object> place = new TreeMap<>();
    place.put("controller", plan.display().controllers().get(at.controller()).name());
    place.put("kind", at.kind());
    place.put("port", at.port().port());
    place.put("position", at.position());
    return place;
  }

  /** The expected entries in the same sorted form. */
  private static List<String> plain(JsonNode list) {
    return list.valueStream().map(entry -> sorted(entry).toString()).toList();
  }

  private static Object sorted(JsonNode node) {
    if (node.isArray()) {
      return node.valueStream().map(AddressingVectorsTest::sorted).toList();
    }
    if (!node.isObject()) {
      return node.isNumber() ? (Object) node.asInt() : node.asString();
    }
    Map<String, Object> fields = new TreeMap<>();
    node.properties().forEach(field -> fields.put(field.getKey(), sorted(field.getValue())));
    return fields;
  }
}
