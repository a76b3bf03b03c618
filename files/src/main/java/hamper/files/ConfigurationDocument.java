package hamper.files;

import hamper.config.Configuration;
import hamper.config.DeviceStart;
import hamper.config.Output;
import hamper.config.OutputSection;
import hamper.config.Untold;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * One controller's configuration document: what the device is told, and apart from it what people
 * call it all. Format: docs/formats/configuration.md.
 */
final class ConfigurationDocument {
  static final int VERSION = 2;

  private ConfigurationDocument() {}

  static ObjectNode of(Configuration configuration) {
    ObjectNode told = told(configuration);
    ObjectNode root = Json.MAPPER.createObjectNode();
    root.put("format", "hamper-configuration");
    root.put("formatVersion", VERSION);
    root.put("fingerprint", fingerprint(told));
    root.set("about", about(configuration));
    root.set("told", told);
    return root;
  }

  static String fingerprint(Configuration configuration) {
    return fingerprint(told(configuration));
  }

  /** SHA-256 of its canonical form: keys in order, nothing between the marks. */
  static String fingerprint(ObjectNode told) {
    byte[] canonical =
        Json.MAPPER.writeValueAsString(CanonicalJson.of(told)).getBytes(StandardCharsets.UTF_8);
    try {
      byte[] digest = MessageDigest.getInstance("SHA-256").digest(canonical);
      return "sha256:" + HexFormat.of().formatHex(digest);
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("Every Java has SHA-256; this one does not", e);
    }
  }

  private static ObjectNode about(Configuration configuration) {
    ObjectNode about = Json.MAPPER.createObjectNode();
    about.put("display", configuration.display());
    about.put("controller", configuration.controller());
    about.put("tag", configuration.tag());
    about.put("name", configuration.name());
    about.put("modelTitle", configuration.modelTitle());
    ArrayNode names = about.putArray("names");
    for (Output output : configuration.outputs()) {
      ArrayNode own = names.addArray();
      output.sections().forEach(section -> own.add(section.name()));
    }
    ArrayNode untold = about.putArray("untold");
    for (Untold one : configuration.untold()) {
      ObjectNode entry = untold.addObject();
      one.port()
          .ifPresent(
              port ->
                  entry.putObject("port").put("kind", port.kind().name()).put("port", port.port()));
      one.piece().ifPresent(piece -> entry.put("piece", piece));
      entry.put("what", one.what());
    }
    return about;
  }

  private static ObjectNode told(Configuration configuration) {
    ObjectNode told = Json.MAPPER.createObjectNode();
    told.put("model", configuration.model());
    configuration.mode().ifPresent(mode -> told.put("mode", mode));
    told.put("protocol", configuration.protocol().name());
    told.put("transport", configuration.transport().name());
    configuration.address().ifPresent(address -> told.put("address", address.text()));
    configuration.packing().ifPresent(packing -> told.put("packing", packing.name()));
    told.put("ownStorage", configuration.ownStorage());
    told.set("inputs", Json.MAPPER.valueToTree(configuration.inputs()));
    ArrayNode outputs = told.putArray("outputs");
    configuration.outputs().forEach(output -> outputs.add(output(output)));
    return told;
  }

  private static ObjectNode output(Output output) {
    ObjectNode node = Json.MAPPER.createObjectNode();
    node.put("kind", output.kind().name());
    node.put("port", output.port());
    node.put("label", output.label());
    node.put("used", output.used());
    start(node, output.start());
    if (output.pixelType().isPresent()) {
      node.put("pixels", output.pixels());
    }
    output.pixelType().ifPresent(chip -> node.put("pixelType", chip));
    output.channelsPerPixel().ifPresent(channels -> node.put("channelsPerPixel", channels));
    ObjectNode options = Json.MAPPER.valueToTree(output.options());
    if (!options.isEmpty()) {
      node.set("options", options);
    }
    ArrayNode sections = node.putArray("sections");
    output.sections().forEach(section -> sections.add(section(section)));
    return node;
  }

  private static ObjectNode section(OutputSection section) {
    ObjectNode node = Json.MAPPER.valueToTree(section);
    node.remove("name");
    node.remove("start");
    start(node, section.start());
    if (section.pixels() == 0) {
      node.remove("pixels");
    }
    section
        .matrix()
        .flatMap(OutputSection.Matrix::panels)
        .ifPresent(
            panels -> {
              // what the card can do is nothing that a device is told, nor is its name
              ArrayNode cards = ((ObjectNode) node.at("/matrix/panels")).putArray("cards");
              panels
                  .cards()
                  .forEach(
                      card -> cards.addObject().set("rows", Json.MAPPER.valueToTree(card.rows())));
            });
    return node;
  }

  /** Left out where the device has no start for it. */
  private static void start(ObjectNode node, DeviceStart start) {
    if (start.unwritable()) {
      node.putObject("start").put("unwritable", true);
    } else if (start.says()) {
      ObjectNode says = Json.MAPPER.valueToTree(start);
      says.remove("unwritable");
      node.set("start", says);
    }
  }
}
