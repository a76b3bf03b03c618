package hamper.files;

import hamper.config.Configuration;
import hamper.config.SendLine;
import java.nio.charset.StandardCharsets;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Configuration documents and send lists. The same plan gives the same bytes. Formats:
 * docs/formats/configuration.schema.json, docs/formats/send-list.md.
 */
public final class ConfigurationFiles {
  private static final List<String> HEADER =
      List.of(
          "source",
          "controller",
          "protocol",
          "transport",
          "destination",
          "first universe",
          "universes",
          "size",
          "offset",
          "priority",
          "full universes",
          "synchronization",
          "display start");

  /** Names that some systems keep for devices, with whatever ending. */
  private static final Pattern RESERVED =
      Pattern.compile("con|prn|aux|nul|(com|lpt)[0-9]", Pattern.CASE_INSENSITIVE);

  private ConfigurationFiles() {}

  /** One controller's document. */
  public static String json(Configuration configuration) {
    return pretty(ConfigurationDocument.of(configuration));
  }

  /**
   * A document of any version that is known, in the shape of the newest.
   *
   * @param bytes of at most {@link DisplayFile#MOST_BYTES}
   * @throws BadFileException with every reason and its place
   */
  public static JsonNode read(byte[] bytes) {
    return Formats.read(bytes, "configuration");
  }

  /**
   * The configuration that a document was made of, as far as devices are told it.
   *
   * @param bytes of at most {@link DisplayFile#MOST_BYTES}
   * @throws BadFileException with every reason and its place
   */
  public static Configuration configuration(byte[] bytes) {
    return ConfigurationReader.of(Formats.read(bytes, "configuration"));
  }

  /**
   * SHA-256 of what the device is told: equal exactly where that is equal, whatever people call
   * things.
   */
  public static String fingerprint(Configuration configuration) {
    return ConfigurationDocument.fingerprint(configuration);
  }

  /**
   * File names made of the tags, which have letters and digits only, by the ids of the controllers.
   * Where two tags differ in the size of their letters only, or a system keeps a name for itself, a
   * number follows.
   */
  public static Map<String, String> fileNames(List<Configuration> configurations) {
    Map<String, String> names = new LinkedHashMap<>();
    Set<String> taken = new HashSet<>();
    for (Configuration one : configurations) {
      String name = one.tag();
      for (int i = 2; isReserved(name) || !taken.add(name.toUpperCase(Locale.ROOT)); i++) {
        name = one.tag() + "-" + i;
      }
      names.put(one.controller(), name + ".configuration.json");
    }
    return names;
  }

  private static boolean isReserved(String name) {
    return RESERVED.matcher(name).matches();
  }

  public static String sendListJson(String display, List<SendLine> lines) {
    ObjectNode root = Json.MAPPER.createObjectNode();
    root.put("format", "hamper-send-list");
    root.put("formatVersion", 1);
    root.put("display", display);
    root.set("lines", Json.MAPPER.valueToTree(lines));
    return pretty(root);
  }

  public static String sendListCsv(List<SendLine> lines) {
    return Csv.write(
        HEADER,
        lines.stream()
            .<List<?>>map(
                line ->
                    List.of(
                        line.source(),
                        line.controller(),
                        line.protocol(),
                        line.transport(),
                        line.destination(),
                        line.firstUniverse(),
                        line.universes(),
                        line.size(),
                        line.offset(),
                        line.priority(),
                        line.fullUniverses(),
                        line.synchronization(),
                        line.displayStart()))
            .toList());
  }

  /** UTF-8 bytes, as files hold them. */
  public static byte[] bytes(String text) {
    return text.getBytes(StandardCharsets.UTF_8);
  }

  private static String pretty(ObjectNode root) {
    return Json.MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(root) + "\n";
  }
}
