package hamper.files;

import java.util.List;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Configuration documents of version 1, which had everything in one object, in the shape of version
 * 2: to be compared with, since they leave out what a device would need. The fingerprint stays the
 * one of old, which names were part of.
 */
final class FirstConfigurations {
  private static final List<String> ABOUT =
      List.of("display", "controller", "tag", "name", "modelTitle");
  private static final List<String> TOLD =
      List.of("model", "mode", "protocol", "transport", "address", "inputs", "outputs");
  private static final List<String> OPTIONS = List.of("colourOrder", "brightness");

  private FirstConfigurations() {}

  static void upgrade(ObjectNode root) {
    ObjectNode about = Json.MAPPER.createObjectNode();
    ObjectNode told = Json.MAPPER.createObjectNode();
    move(root, about, ABOUT);
    move(root, told, TOLD);
    told.put("ownStorage", false);
    ArrayNode names = about.putArray("names");
    for (JsonNode output : told.path("outputs")) {
      if (output instanceof ObjectNode port) {
        names.add(output(port));
      }
    }
    JsonNode untold = root.remove("untold");
    about.set("untold", untold == null ? Json.MAPPER.createArrayNode() : untold);
    about.path("untold").forEach(FirstConfigurations::untold);
    root.set("about", about);
    root.set("told", told);
  }

  private static void move(ObjectNode from, ObjectNode to, List<String> fields) {
    for (String field : fields) {
      JsonNode value = from.remove(field);
      if (value != null) {
        to.set(field, value);
      }
    }
  }

  /** Answers the names of its sections. */
  private static ArrayNode output(ObjectNode port) {
    ArrayNode names = Json.MAPPER.createArrayNode();
    boolean line = port.path("kind").asString("").equals("DMX");
    if (!port.has("pixelType")) {
      port.remove("pixels");
    }
    start(port);
    ObjectNode options = Json.MAPPER.createObjectNode();
    move(port, options, OPTIONS);
    if (!options.isEmpty()) {
      port.set("options", options);
    }
    for (JsonNode node : port.path("sections")) {
      if (node instanceof ObjectNode section) {
        JsonNode name = section.remove("name");
        names.add(name == null ? "" : name.asString(""));
        start(section);
        if (line && section.has("pixels")) {
          section.set("slots", section.remove("pixels"));
        }
        section.path("matrix").path("panels").path("cards").forEach(FirstConfigurations::card);
      }
    }
    return names;
  }

  private static void card(JsonNode node) {
    if (node instanceof ObjectNode card) {
      card.retain("rows");
    }
  }

  /** Nothing said neither that there is none nor that it could not be written. */
  private static void start(ObjectNode at) {
    if (at.path("start").isEmpty()) {
      at.remove("start");
    }
  }

  private static void untold(JsonNode one) {
    if (one.path("port") instanceof ObjectNode port) {
      port.retain("kind", "port");
    }
  }
}
