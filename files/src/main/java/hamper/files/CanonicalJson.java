package hamper.files;

import java.util.TreeSet;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** JSON in the one form that a fingerprint is made of: the keys of every object in order. */
final class CanonicalJson {
  private CanonicalJson() {}

  static JsonNode of(JsonNode node) {
    if (node.isObject()) {
      ObjectNode sorted = Json.MAPPER.createObjectNode();
      new TreeSet<>(node.propertyNames()).forEach(key -> sorted.set(key, of(node.get(key))));
      return sorted;
    }
    if (node.isArray()) {
      ArrayNode array = Json.MAPPER.createArrayNode();
      node.forEach(entry -> array.add(of(entry)));
      return array;
    }
    return node;
  }
}
