package hamper.samples;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Consumer;
import tools.jackson.databind.node.ObjectNode;

/** Faults in what devices are told, put there on purpose: whoever compares has to see each. */
public final class SpoiltDocuments {
  private SpoiltDocuments() {}

  private static void add(ObjectNode node, String field, int more) {
    node.put(field, node.path(field).asInt(0) + more);
  }

  /** Spoils the part "told" of a document wherever it fits. */
  public interface Fault extends Consumer<ObjectNode> {}

  private static Fault everySection(Consumer<ObjectNode> change) {
    return told ->
        told.get("outputs")
            .forEach(o -> o.get("sections").forEach(s -> change.accept((ObjectNode) s)));
  }

  private static Fault everyOutput(Consumer<ObjectNode> change) {
    return told -> told.get("outputs").forEach(o -> change.accept((ObjectNode) o));
  }

  private static Fault start(String field, int more) {
    return told -> {
      Consumer<ObjectNode> moved =
          node -> {
            if (node.path("start").has(field)) {
              add((ObjectNode) node.get("start"), field, more);
            }
          };
      everyOutput(moved).accept(told);
      everySection(moved).accept(told);
    };
  }

  /** By name, in their order. */
  public static Map<String, Fault> faults() {
    Map<String, Fault> faults = new LinkedHashMap<>();
    faults.put("universes one too high", start("universe", 1));
    faults.put("universes one too low", start("universe", -1));
    faults.put("channels one too high", start("channel", 1));
    faults.put("channels three too high", start("channel", 3));
    faults.put("pixel index from 1", start("pixelIndex", 1));
    faults.put("no starts", everySection(section -> section.remove("start")));
    faults.put("no starts of ports", everyOutput(output -> output.remove("start")));
    faults.put("one pixel less", everySection(section -> add(section, "pixels", -1)));
    faults.put("one pixel more", everySection(section -> add(section, "pixels", 1)));
    faults.put("a null pixel more", everySection(section -> add(section, "nullPixels", 1)));
    faults.put("no null pixels", everySection(section -> section.put("nullPixels", 0)));
    faults.put(
        "turned round", everySection(s -> s.put("backward", !s.path("backward").asBoolean(false))));
    faults.put("no folds", everySection(section -> section.remove("fold")));
    faults.put("folds of two", everySection(section -> section.put("fold", 2)));
    faults.put("no groups", everySection(section -> section.put("group", 1)));
    faults.put("groups of two", everySection(section -> section.put("group", 2)));
    faults.put("another order", everySection(s -> s.put("colourOrder", "BGRWAV".substring(0, 3))));
    faults.put("slots one too high", everySection(section -> add(section, "slot", 1)));
    faults.put(
        "inputs one too high",
        told -> told.get("inputs").forEach(i -> add((ObjectNode) i, "universe", 1)));
    faults.put(
        "one input less",
        told -> told.get("inputs").forEach(i -> add((ObjectNode) i, "count", -1)));
    faults.put(
        "universes of 500",
        told -> told.get("inputs").forEach(i -> ((ObjectNode) i).put("size", 500)));
    faults.put(
        "the other packing",
        told ->
            told.put(
                "packing",
                told.path("packing").asString("CONTIGUOUS").equals("CONTIGUOUS")
                    ? "WHOLE_PIXEL"
                    : "CONTIGUOUS"));
    faults.put("ports emptied", everyOutput(output -> output.put("used", false)));
    return faults;
  }
}
