package hamper.files;

import hamper.catalog.Catalog;
import hamper.display.Display;
import hamper.display.Plan;
import hamper.handover.Milestone;
import hamper.value.RefusedException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The display file, {@code *.hamper.json}. Format: docs/formats/display.schema.json. */
public final class DisplayFile {
  /** What its name ends with. */
  public static final String ENDING = ".hamper.json";

  /** Most bytes that are read. */
  public static final int MOST_BYTES = Formats.MOST_BYTES;

  private DisplayFile() {}

  /**
   * What a file holds.
   *
   * @param milestones oldest first
   */
  public record Contents(Plan plan, List<Milestone> milestones) {
    public Contents {
      milestones = List.copyOf(milestones);
    }
  }

  /**
   * The display of a file, without its milestones.
   *
   * @param shipped the catalogue that its models and pixel types are looked up in
   * @throws BadFileException with every reason and its place
   */
  public static Plan read(byte[] bytes, Catalog shipped) {
    return open(bytes, shipped).plan();
  }

  /**
   * All of a file.
   *
   * @param shipped the catalogue that its models and pixel types are looked up in
   * @throws BadFileException with every reason and its place
   */
  public static Contents open(byte[] bytes, Catalog shipped) {
    ObjectNode root = Formats.read(bytes, "display");
    JsonNode frozen = root.get("milestones");
    List<Milestone> milestones = new ArrayList<>();
    Plan plan = plan(root, shipped);
    Set<String> ids = new HashSet<>();
    for (int i = 0; i < frozen.size(); i++) {
      ObjectNode one = (ObjectNode) frozen.get(i);
      if (!ids.add(one.get("id").asString())) {
        throw BadFileException.of(
            "milestones[%d].id".formatted(i),
            "\"%s\" is used already; choose another".formatted(one.get("id").asString()));
      }
      try {
        Display display = plan((ObjectNode) one.get("display"), shipped).display();
        one.remove("display");
        milestones.add(
            new Milestone(
                one.get("id").asString(),
                one.get("name").asString(),
                Instant.parse(one.get("at").asString()),
                one.get("by").asString(),
                one.get("version").asInt(),
                display));
      } catch (BadFileException e) {
        throw e.within("milestones[%d].display".formatted(i));
      } catch (RefusedException | DateTimeParseException e) {
        throw BadFileException.of("milestones[%d]".formatted(i), e.getMessage());
      }
    }
    return new Contents(plan, milestones);
  }

  private static Plan plan(ObjectNode root, Catalog shipped) {
    root.remove("format");
    root.remove("formatVersion");
    root.remove("milestones");
    try {
      return new Plan(bind(root, Display.class), shipped);
    } catch (RefusedException e) {
      throw BadFileException.of(e.place(), e.found() + " is refused; " + e.allowed());
    }
  }

  /** Always the same bytes for the same display. */
  public static byte[] write(Display display) {
    return write(display, List.of());
  }

  /**
   * With milestones; the oldest are left out where the file would be larger than is read.
   *
   * @param milestones oldest first
   */
  public static byte[] write(Display display, List<Milestone> milestones) {
    ObjectNode root = node(display);
    if (!milestones.isEmpty()) {
      ArrayNode frozen = root.putArray("milestones");
      milestones.forEach(one -> frozen.add(node(one)));
    }
    byte[] bytes =
        (Json.MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(root) + "\n")
            .getBytes(StandardCharsets.UTF_8);
    return bytes.length > MOST_BYTES && !milestones.isEmpty()
        ? write(display, milestones.subList(1, milestones.size()))
        : bytes;
  }

  private static ObjectNode node(Milestone milestone) {
    ObjectNode root = Json.MAPPER.createObjectNode();
    root.put("id", milestone.id());
    root.put("name", milestone.name());
    root.put("at", milestone.at().toString());
    root.put("by", milestone.by());
    root.put("version", milestone.version());
    root.set("display", node(milestone.display()));
    return root;
  }

  private static ObjectNode node(Display display) {
    ObjectNode root = Json.MAPPER.createObjectNode();
    root.put("format", "hamper-display");
    root.put("formatVersion", FormatVersions.newest("hamper-display"));
    root.setAll((ObjectNode) Json.MAPPER.valueToTree(display));
    return root;
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
