package hamper.files;

import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * The newest version of each format, and the steps by which older files become of it: each is told
 * once, and never changes again.
 */
final class FormatVersions {
  /** From version 1 to 2, from 2 to 3, and so on; a format without steps has version 1. */
  private static final Map<String, List<Consumer<ObjectNode>>> STEPS =
      Map.of(
          "hamper-display",
              List.of(
                  FormatVersions::nothingToDo,
                  FormatVersions::nothingToDo,
                  FormatVersions::milestonesOfVersion4),
          "hamper-configuration", List.of(FirstConfigurations::upgrade));

  private FormatVersions() {}

  static int newest(String format) {
    return STEPS.getOrDefault(format, List.of()).size() + 1;
  }

  /**
   * @param root of a version that is known; of the newest afterwards
   */
  static void upgrade(ObjectNode root, String format) {
    List<Consumer<ObjectNode>> steps = STEPS.getOrDefault(format, List.of());
    for (int from = root.get("formatVersion").asInt(); from <= steps.size(); from++) {
      steps.get(from - 1).accept(root);
    }
    root.put("formatVersion", newest(format));
  }

  /** Fields were added; a milestone is a display of the same version. */
  private static void milestonesOfVersion4(ObjectNode root) {
    for (JsonNode milestone : root.path("milestones")) {
      if (milestone.path("display") instanceof ObjectNode display) {
        display.put("formatVersion", 4);
      }
    }
  }

  /** Only fields were added, which older files leave out; the schema has their defaults. */
  private static void nothingToDo(ObjectNode root) {}
}
