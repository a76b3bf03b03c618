package hamper.standin;

import java.util.List;
import tools.jackson.databind.JsonNode;

/** What a model has no room for, or does not know. docs/formats/catalogue.schema.json. */
final class ModelLimits {
  /** Options of a section, as documents and as catalogues write them. */
  private static final List<String[]> OPTIONS =
      List.of(
          new String[] {"group", "GROUP"},
          new String[] {"fold", "FOLD"},
          new String[] {"backward", "DIRECTION"},
          new String[] {"nullPixels", "NULL_PIXELS"},
          new String[] {"colourOrder", "COLOUR_ORDER"},
          new String[] {"brightness", "BRIGHTNESS"});

  private final JsonNode told;
  private final JsonNode model;

  private ModelLimits(JsonNode told, JsonNode model) {
    this.told = told;
    this.model = model;
  }

  /**
   * @param model its entry of a catalogue
   * @throws Device.RefusedException with the place and what is allowed
   */
  static void check(JsonNode told, JsonNode model) throws Device.RefusedException {
    ModelLimits limits = new ModelLimits(told, model);
    limits.protocol();
    for (JsonNode output : told.path("outputs")) {
      limits.output(output);
    }
  }

  private void protocol() throws Device.RefusedException {
    String wanted = told.path("protocol").asString("");
    JsonNode known =
        model
            .path("protocols")
            .valueStream()
            .filter(one -> one.path("protocol").asString("").equals(wanted))
            .findFirst()
            .orElseThrow(() -> refused("told.protocol: it does not know \"%s\"", wanted));
    String transport = told.path("transport").asString("");
    if (!contains(known.path("transports"), transport)) {
      throw refused("told.transport: it takes no %s on %s", transport, wanted);
    }
    int universes = 0;
    for (JsonNode input : told.path("inputs")) {
      universes += input.path("count").asInt(0);
      int size = input.path("size").asInt(0);
      boolean sized = input.path("count").asInt(0) > 0 && !input.has("dmxPort");
      if (sized && !contains(known.path("universeSizes"), size)) {
        throw refused("told.inputs: it knows no universes of %d channels", size);
      }
    }
    int most = known.path("mostUniverses").asInt(Integer.MAX_VALUE);
    if (universes > most) {
      throw refused("told.inputs: %d universes; it takes %d", universes, most);
    }
  }

  private static boolean contains(JsonNode list, String value) {
    return list.valueStream().anyMatch(one -> one.asString("").equals(value));
  }

  private static boolean contains(JsonNode list, int value) {
    return list.isMissingNode() || list.valueStream().anyMatch(one -> one.asInt() == value);
  }

  private void output(JsonNode output) throws Device.RefusedException {
    String kind = output.path("kind").asString("");
    int number = output.path("port").asInt(0);
    JsonNode mode = mode(kind);
    if (number < 1 || number > mode.path("ports").asInt(0)) {
      throw refused("told.outputs: there is no %s %d", kind, number);
    }
    int channels = output.path("channelsPerPixel").asInt(0);
    int pixels = output.path("pixels").asInt(0);
    int most =
        mode.path("pixelLimits")
            .valueStream()
            .filter(limit -> limit.path("channels").asInt() == channels)
            .mapToInt(limit -> limit.path("pixels").asInt())
            .findFirst()
            .orElse(Integer.MAX_VALUE);
    if (kind.equals("PIXEL") && pixels > most) {
      throw refused("told.outputs: %s %d has %d pixels; it drives %d", kind, number, pixels, most);
    }
    options(output.path("options"), "PER_PORT");
    for (JsonNode section : output.path("sections")) {
      if (kind.equals("PIXEL")) {
        options(section, "PER_SECTION");
      }
    }
  }

  /** The mode of ports of a kind: the one that is told, else the only one. */
  private JsonNode mode(String kind) throws Device.RefusedException {
    JsonNode modes =
        model
            .path("ports")
            .valueStream()
            .filter(group -> group.path("kind").asString("").equals(kind))
            .map(group -> group.path("modes"))
            .findFirst()
            .orElseThrow(() -> refused("told.outputs: it has no %s ports", kind));
    String wanted = told.path("mode").asString("");
    return modes
        .valueStream()
        .filter(mode -> mode.path("name").asString("").equals(wanted))
        .findFirst()
        .orElse(modes.path(0));
  }

  private void options(JsonNode holder, String where) throws Device.RefusedException {
    for (String[] option : OPTIONS) {
      boolean takes = model.path("options").path(option[1]).asString("").equals(where);
      if (holder.has(option[0]) && !takes) {
        throw refused("told.outputs: %s cannot be told it %s", option[0], inWords(where));
      }
    }
  }

  private static String inWords(String where) {
    return where.equals("PER_PORT") ? "port by port" : "section by section";
  }

  private static Device.RefusedException refused(String what, Object... values) {
    return new Device.RefusedException(what.formatted(values));
  }
}
