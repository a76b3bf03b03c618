package hamper.files;

import com.networknt.schema.Schema;
import com.networknt.schema.SchemaLocation;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import hamper.files.BadFileException.Reason;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import tools.jackson.core.JacksonException;
import tools.jackson.core.TokenStreamLocation;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Reads JSON of a published format: size, syntax, format and version, schema, defaults, in this
 * order.
 */
final class Formats {
  /** Larger files are refused unread. */
  static final int MOST_BYTES = 20 * 1024 * 1024;

  private static final int MOST_REASONS = 20;
  private static final String HOME = "https://hamper.example/formats/";
  private static final Map<String, String> SCHEMAS =
      Map.of(
          HOME + "display.schema.json", text("display.schema.json"),
          HOME + "catalogue.schema.json", text("catalogue.schema.json"),
          HOME + "configuration.schema.json", text("configuration.schema.json"),
          HOME + "unit.schema.json", text("unit.schema.json"));
  private static final SchemaRegistry REGISTRY =
      SchemaRegistry.withDefaultDialect(
          SpecificationVersion.DRAFT_2020_12, builder -> builder.schemas(SCHEMAS));
  private static final SchemaDefaults DEFAULTS =
      new SchemaDefaults(name -> Json.MAPPER.readTree(SCHEMAS.get(HOME + name)));

  private Formats() {}

  /**
   * @param format such as "display": its schema is {@code display.schema.json}
   * @return the file with every default filled in
   * @throws BadFileException with every reason found
   */
  static ObjectNode read(byte[] bytes, String format) {
    if (bytes.length > MOST_BYTES) {
      throw BadFileException.of(
          "file",
          "%,d bytes; allowed are %,d. Split the display, or leave out what is not planned here"
              .formatted(bytes.length, MOST_BYTES));
    }
    JsonNode root = parse(bytes);
    checkVersion(root, "hamper-" + format);
    List<Reason> large = NumberSizes.tooLarge(root, MOST_REASONS);
    if (!large.isEmpty()) {
      throw new BadFileException(large);
    }
    FormatVersions.upgrade((ObjectNode) root, "hamper-" + format);
    String schemaName = format + ".schema.json";
    Schema schema = REGISTRY.getSchema(SchemaLocation.of(HOME + schemaName));
    List<Reason> reasons =
        schema.validate(root).stream()
            .limit(MOST_REASONS)
            .map(error -> SchemaReasons.reason(error, root))
            .distinct()
            .toList();
    if (!reasons.isEmpty()) {
      throw new BadFileException(reasons);
    }
    DEFAULTS.fill(schemaName, root);
    return (ObjectNode) root;
  }

  private static JsonNode parse(byte[] bytes) {
    try {
      return Json.MAPPER.readTree(bytes);
    } catch (JacksonException e) {
      TokenStreamLocation at = e.getLocation();
      String place =
          at == null ? "file" : "line %d, column %d".formatted(at.getLineNr(), at.getColumnNr());
      throw BadFileException.of(place, "not JSON: " + JsonWords.unreadable(e));
    }
  }

  private static void checkVersion(JsonNode root, String format) {
    if (!root.isObject()) {
      throw BadFileException.of(
          "file", "not an object of format \"%s\" but %s".formatted(format, kind(root)));
    }
    JsonNode found = root.path("format");
    if (!found.isString() || !found.asString().equals(format)) {
      throw BadFileException.of(
          "format",
          found.isMissingNode()
              ? "is missing; it has to say \"%s\"".formatted(format)
              : "%s; this place takes \"%s\"".formatted(found, format));
    }
    JsonNode version = root.path("formatVersion");
    int newest = FormatVersions.newest(format);
    if (!version.isInt() || version.asInt() < 1 || version.asInt() > newest) {
      throw BadFileException.of(
          "formatVersion",
          "%s; this Hamper reads %s. Open the file with the Hamper that wrote it"
              .formatted(
                  version.isMissingNode() ? "is missing" : version,
                  newest == 1 ? "version 1" : "versions 1 to " + newest));
    }
  }

  private static String kind(JsonNode node) {
    return node.isMissingNode() ? "empty" : "a JSON " + node.getNodeType().name().toLowerCase();
  }

  private static String text(String name) {
    try (InputStream in = Formats.class.getResourceAsStream("/hamper/formats/" + name)) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
