package hamper.resolve;

import hamper.address.IpAddress;
import hamper.address.Packing;
import hamper.address.PortStart;
import hamper.address.Protocol;
import hamper.address.StartsPer;
import hamper.address.Transport;
import hamper.catalog.AddressStyle;
import hamper.catalog.Catalog;
import hamper.catalog.DeviceModel;
import hamper.catalog.Dialect;
import hamper.catalog.InputStyle;
import hamper.catalog.PortKind;
import hamper.display.Circuit;
import hamper.display.Controller;
import hamper.display.ControllerSettings;
import hamper.display.Display;
import hamper.display.DisplaySettings;
import hamper.display.Fixture;
import hamper.display.Hold;
import hamper.display.Leg;
import hamper.display.Piece;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.display.Run;
import hamper.display.Section;
import hamper.sample.Samples;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tools.jackson.databind.JsonNode;

/** Builds a plan from a case of the addressing vectors: each section becomes a piece of its own. */
final class VectorDisplay {
  private final List<Prop> props = new ArrayList<>();
  private final List<DeviceModel> models = new ArrayList<>();
  private final List<Controller> controllers = new ArrayList<>();

  static Plan plan(JsonNode vector) {
    VectorDisplay built = new VectorDisplay();
    vector.get("controllers").forEach(built::add);
    JsonNode settings = vector.path("display");
    Display display =
        new Display(
            "Vector",
            new DisplaySettings(
                settings.path("firstUniverse").asInt(1),
                settings.path("universeStride").asInt(1),
                40),
            built.models,
            List.of(),
            List.of(),
            built.props,
            built.controllers);
    return new Plan(display, Catalog.of(List.of(Samples.host()), Samples.typesByChannels()));
  }

  private void add(JsonNode node) {
    String name = node.get("name").asString();
    Protocol protocol = Protocol.valueOf(node.get("protocol").asString());
    Dialect dialect =
        new Dialect(
            AddressStyle.UNIVERSE_CHANNEL_PER_SECTION,
            InputStyle.LIST,
            StartsPer.valueOf(node.path("startsPer").asString("SECTION")),
            PortStart.valueOf(node.path("portStart").asString("NEXT_CHANNEL")),
            Packing.valueOf(node.path("packing").asString("CONTIGUOUS")),
            false,
            node.path("numberedFrom").asInt(1),
            node.path("numberedFrom").asInt(0));
    boolean host = protocol == Protocol.NONE;
    if (!host) {
      models.add(Samples.model("model-" + name, dialect));
    }
    List<Run> runs = new ArrayList<>();
    node.path("ports").forEach(port -> runs.add(run(name, port)));
    ControllerSettings settings =
        new ControllerSettings(
            Optional.empty(),
            protocol,
            Transport.valueOf(node.path("transport").asString("UNICAST")),
            optional(node, "address").map(JsonNode::asString).map(IpAddress::new),
            optional(node, "firstUniverse").map(JsonNode::asInt),
            node.path("universeSize").asInt(512),
            Optional.empty(),
            Optional.empty(),
            node.path("reserveUniverses").asInt(0),
            node.path("reserveChannels").asInt(0),
            Optional.empty(),
            Optional.empty(),
            Optional.empty());
    controllers.add(
        new Controller(
            name, name, name, host ? "host" : "model-" + name, settings, Optional.empty(), runs));
  }

  private Run run(String controller, JsonNode node) {
    PortKind kind = PortKind.valueOf(node.path("kind").asString("PIXEL"));
    int number = node.get("number").asInt();
    List<Leg> legs = new ArrayList<>();
    for (JsonNode section : node.path("sections")) {
      String id = section.path("id").asString(controller + "-" + kind + number + "-" + legs.size());
      add(kind == PortKind.RELAY ? circuit(id, section) : string(id, section));
      legs.add(new Leg(id, 0, 0, optional(section, "mirrorOf").map(JsonNode::asString)));
    }
    for (JsonNode fixture : node.path("fixtures")) {
      String id = controller + "-" + kind + number + "-" + legs.size();
      add(new Fixture(id, id, fixture.get("slot").asInt(), fixture.get("channels").asInt()));
      legs.add(Leg.of(id));
    }
    return new Run(
        kind, number, legs, optional(node, "universe").map(JsonNode::asInt), Optional.empty());
  }

  private static Piece circuit(String id, JsonNode section) {
    return new Circuit(id, id, 128, false, hold(section));
  }

  private static Piece string(String id, JsonNode section) {
    Section built =
        new Section(
            section.get("pixels").asInt(),
            section.path("nullsBefore").asInt(0),
            section.path("group").asInt(1),
            Optional.empty(),
            false,
            Optional.empty(),
            Optional.empty(),
            hold(section));
    return new PixelString(id, id, "c" + section.path("channelsPerPixel").asInt(3), List.of(built));
  }

  private static Optional<Hold> hold(JsonNode section) {
    return optional(section, "hold")
        .map(
            hold ->
                new Hold(
                    optional(hold, "universe").map(JsonNode::asInt), hold.get("channel").asInt()));
  }

  private void add(Piece piece) {
    props.add(
        new Prop(piece.id(), piece.name(), Optional.empty(), Optional.empty(), List.of(piece)));
  }

  private static Optional<JsonNode> optional(JsonNode node, String field) {
    return Optional.ofNullable(node.get(field));
  }
}
