package hamper.files;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Fills in the defaults that a schema names, so that they stand in one place: the published schema.
 * Knows what our schemas use: properties, items, allOf, if/then on a const, and $ref.
 */
final class SchemaDefaults {
  /** A schema and the file that its references start from. */
  private record At(String file, JsonNode schema) {}

  private final Function<String, JsonNode> load;
  private final Map<String, JsonNode> files = new ConcurrentHashMap<>();

  /**
   * @param load the schema of a file name
   */
  SchemaDefaults(Function<String, JsonNode> load) {
    this.load = load;
  }

  void fill(String file, JsonNode value) {
    fill(new At(file, file(file)), value);
  }

  private JsonNode file(String name) {
    return files.computeIfAbsent(name, load);
  }

  private void fill(At at, JsonNode value) {
    if (at.schema().has("$ref")) {
      fill(follow(at), value);
    }
    for (JsonNode part : at.schema().path("allOf")) {
      if (holds(part.path("if"), value)) {
        fill(new At(at.file(), part.has("then") ? part.get("then") : part), value);
      }
    }
    if (value instanceof ObjectNode object) {
      for (Map.Entry<String, JsonNode> property : at.schema().path("properties").properties()) {
        JsonNode fallback = property.getValue().path("default");
        if (!fallback.isMissingNode() && !object.has(property.getKey())) {
          object.set(property.getKey(), fallback.deepCopy());
        }
        if (object.has(property.getKey())) {
          fill(new At(at.file(), property.getValue()), object.get(property.getKey()));
        }
      }
    } else if (value.isArray() && at.schema().has("items")) {
      At items = new At(at.file(), at.schema().get("items"));
      value.forEach(item -> fill(items, item));
    }
  }

  private At follow(At at) {
    String[] parts = at.schema().get("$ref").asString().split("#", 2);
    String name = parts[0].isEmpty() ? at.file() : parts[0];
    return new At(name, file(name).at(parts[1]));
  }

  /** Whether every const that the condition names is met; no condition always holds. */
  private static boolean holds(JsonNode condition, JsonNode value) {
    return condition.path("properties").properties().stream()
        .allMatch(p -> p.getValue().path("const").equals(value.path(p.getKey())));
  }
}
