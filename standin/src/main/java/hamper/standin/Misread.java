package hamper.standin;

import java.util.Set;
import java.util.function.Consumer;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What a device that misbehaves makes of the part "told" of its document. */
final class Misread {
  /** Pixels that were on a port last year. */
  private static final int LEFTOVER = 10;

  private Misread() {}

  static JsonNode of(JsonNode told, Set<Misbehaviour> on) {
    ObjectNode read = (ObjectNode) told.deepCopy();
    on.forEach(one -> spoil(read, one));
    return read;
  }

  private static void spoil(ObjectNode told, Misbehaviour one) {
    switch (one) {
      case LOST_CONFIGURATION -> outputs(told, Misread::defaults);
      case OLD_OUTPUTS -> outputs(told, Misread::leftover);
      case FORGOTTEN_NULL -> outputs(told, Misread::forget);
      case FULL_UNIVERSES -> inputs(told, input -> input.put("size", Heard.SLOTS));
      case ONE_UNIVERSE_LESS -> {
        JsonNode inputs = told.get("inputs");
        ObjectNode last = (ObjectNode) inputs.get(inputs.size() - 1);
        if (last.path("count").asInt() > 0) {
          last.put("count", last.get("count").asInt() - 1);
        } else {
          last.put("size", last.get("size").asInt() / 2);
        }
      }
      default -> {
        // the others are in how it shines and answers
      }
    }
  }

  private static void outputs(ObjectNode told, Consumer<ObjectNode> change) {
    told.get("outputs").forEach(output -> change.accept((ObjectNode) output));
  }

  private static void inputs(ObjectNode told, Consumer<ObjectNode> change) {
    told.get("inputs")
        .forEach(
            input -> {
              if (input.path("count").asInt() > 0) {
                change.accept((ObjectNode) input);
              }
            });
  }

  private static void defaults(ObjectNode output) {
    output.putObject("options");
    for (JsonNode section : output.get("sections")) {
      ((ObjectNode) section).remove("brightness");
      ((ObjectNode) section).remove("colourOrder");
      ((ObjectNode) section).remove("backward");
      ((ObjectNode) section).remove("fold");
      ((ObjectNode) section).remove("group");
    }
  }

  private static void leftover(ObjectNode output) {
    if (output.get("used").asBoolean() || !output.get("kind").asString().equals("PIXEL")) {
      return;
    }
    output.put("used", true).put("channelsPerPixel", 3).put("pixelType", "WS2811");
    output.putObject("start").put("channel", 1);
    output.putArray("sections").addObject().put("pixels", LEFTOVER);
  }

  private static void forget(ObjectNode output) {
    JsonNode options = output.path("options");
    if (options.path("nullPixels").asInt(0) > 0) {
      ((ObjectNode) options).put("nullPixels", options.get("nullPixels").asInt() - 1);
    }
    for (JsonNode section : output.get("sections")) {
      if (section.path("nullPixels").asInt(0) > 0) {
        ((ObjectNode) section).put("nullPixels", section.get("nullPixels").asInt() - 1);
      }
    }
  }
}
