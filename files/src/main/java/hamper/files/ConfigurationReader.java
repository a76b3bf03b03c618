package hamper.files;

import hamper.config.Configuration;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A configuration document as the value that it was made of. What the document leaves out of a
 * panel card, which no device is told, is filled with what any card can do.
 */
final class ConfigurationReader {
  private static final int ANY_PIXELS = 10_000_000;
  private static final int ANY_REFRESH = 60;

  private ConfigurationReader() {}

  /**
   * @param document of the newest version
   * @throws BadFileException where it makes no configuration, with the place
   */
  static Configuration of(ObjectNode document) {
    ObjectNode root = document.deepCopy();
    ObjectNode about = (ObjectNode) root.remove("about");
    ObjectNode told = (ObjectNode) root.remove("told");
    JsonNode names = about.remove("names");
    ObjectNode value = Json.MAPPER.createObjectNode();
    value.setAll(about);
    value.setAll(told);
    String controller = about.path("controller").asString("");
    for (JsonNode one : value.path("untold")) {
      ((ObjectNode) one).put("controller", controller);
      if (one.get("port") instanceof ObjectNode port) {
        port.put("controller", controller);
      }
    }
    int number = 0;
    for (JsonNode one : value.path("outputs")) {
      output((ObjectNode) one, names.path(number++));
    }
    return DisplayFile.bind(value, Configuration.class);
  }

  private static void output(ObjectNode output, JsonNode names) {
    start(output);
    if (!output.has("pixels")) {
      output.put("pixels", 0);
    }
    if (!output.has("options")) {
      output.putObject("options");
    }
    ArrayNode sections = (ArrayNode) output.path("sections");
    for (int i = 0; i < sections.size(); i++) {
      ObjectNode section = (ObjectNode) sections.get(i);
      start(section);
      section.put("name", names.path(i).asString(""));
      if (!section.has("pixels")) {
        section.put("pixels", 0);
      }
      int card = 1;
      for (JsonNode one : section.at("/matrix/panels/cards")) {
        ((ObjectNode) one)
            .put("name", "card " + card++)
            .put("mostPixels", ANY_PIXELS)
            .put("refreshHertz", ANY_REFRESH);
      }
    }
  }

  private static void start(ObjectNode at) {
    ObjectNode start = at.has("start") ? (ObjectNode) at.get("start") : at.putObject("start");
    if (!start.has("unwritable")) {
      start.put("unwritable", false);
    }
  }
}
