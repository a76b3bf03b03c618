package hamper.files;

import hamper.catalog.Catalog;
import hamper.display.Display;
import hamper.display.Plan;
import hamper.value.RefusedException;
import java.nio.charset.StandardCharsets;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.node.ObjectNode;

/** The display file, {@code *.hamper.json}. Format: docs/formats/display.schema.json. */
public final class DisplayFile {
  /** What its name ends with. */
  public static final String ENDING = ".hamper.json";

  /** Most bytes that are read. */
  public static final int MOST_BYTES = Formats.MOST_BYTES;

  private DisplayFile() {}

  /**
   * @param shipped the catalogue that its models and pixel types are looked up in
   * @throws BadFileException with every reason and its place
   */
  public static Plan read(byte[] bytes, Catalog shipped) {
    ObjectNode root = Formats.read(bytes, "display");
    root.remove("format");
    root.remove("formatVersion");
    try {
      return new Plan(bind(root, Display.class), shipped);
    } catch (RefusedException e) {
      throw BadFileException.of(e.place(), e.found() + " is refused; " + e.allowed());
    }
  }

  /** Always the same bytes for the same display. */
  public static byte[] write(Display display) {
    ObjectNode root = Json.MAPPER.createObjectNode();
    root.put("format", "hamper-display");
    root.put("formatVersion", FormatVersions.newest("hamper-display"));
    root.setAll((ObjectNode) Json.MAPPER.valueToTree(display));
    return (Json.MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(root) + "\n")
        .getBytes(StandardCharsets.UTF_8);
  }

  /** Builds a value; a refusal of one of its parts comes out with the part's place. */
  static <T> T bind(ObjectNode root, Class<T> type) {
    try {
      return Json.MAPPER.treeToValue(root, type);
    } catch (JacksonException e) {
      throw Refusals.of(e);
    }
  }
}
