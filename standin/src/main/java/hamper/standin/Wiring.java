package hamper.standin;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import tools.jackson.databind.JsonNode;

/**
 * Which level each byte of each port shows, worked out from the part "told" of a document and what
 * the device is by itself. docs/formats/configuration.md, "Outputs", "A pixel port", "Other ports".
 */
final class Wiring {
  private static final List<String> NATURAL = List.of("W", "WA", "RGB", "RGBW", "RGBWA", "RGBWAV");

  private final JsonNode told;
  private final JsonNode model;
  private final Heard heard;
  private final List<Port> ports = new ArrayList<>();

  /** Where a device that only counts goes on, in its own channels. */
  private int counted = 1;

  /**
   * @param told of a document
   * @param model what the device is when nobody has told it anything: its entry of a catalogue
   */
  Wiring(JsonNode told, JsonNode model) {
    this.told = told;
    this.model = model;
    this.heard = new Heard(told, model.path("dialect"));
    for (JsonNode output : told.get("outputs")) {
      ports.add(port(output));
    }
  }

  Heard heard() {
    return heard;
  }

  List<Port> ports() {
    return ports;
  }

  /** Bytes of one port while they are found. */
  private static final class Laying {
    private int[] places = new int[64];
    private byte[] percent = new byte[64];
    private int count;

    void add(int place, int scaled) {
      if (count == places.length) {
        places = Arrays.copyOf(places, 2 * count);
        percent = Arrays.copyOf(percent, 2 * count);
      }
      places[count] = place;
      percent[count++] = (byte) scaled;
    }

    Port port(String named, int width, Port.Circuits circuits, int[] line) {
      return new Port(
          named,
          width,
          Arrays.copyOf(places, count),
          Arrays.copyOf(percent, count),
          circuits,
          line);
    }
  }

  private Port port(JsonNode output) {
    String kind = output.get("kind").asString();
    String named = kind + " " + output.get("port").asInt();
    if (!output.get("used").asBoolean()) {
      return Port.empty(named);
    }
    Laying laying = new Laying();
    int[] line = {};
    switch (kind) {
      case "PIXEL" -> pixels(output, laying);
      case "DMX" -> line = line(output, laying);
      case "PANEL" -> output.get("sections").forEach(wall -> wall(wall, laying));
      case "RELAY" -> {
        output.get("sections").forEach(one -> laying.add(cursor(one, 1, false).at(0), 100));
        return laying.port(named, 1, circuits(output), line);
      }
      default -> {
        return Port.empty(named); // units on a serial line have documents of their own
      }
    }
    int width = kind.equals("PANEL") ? 3 : output.path("channelsPerPixel").asInt(1);
    return laying.port(named, width, Port.Circuits.NONE, line);
  }

  private static Port.Circuits circuits(JsonNode output) {
    int count = output.get("sections").size();
    int[] thresholds = new int[count];
    boolean[] safeOn = new boolean[count];
    for (int i = 0; i < count; i++) {
      JsonNode section = output.get("sections").get(i);
      thresholds[i] = section.path("threshold").asInt(1);
      safeOn[i] = section.path("safeOn").asBoolean(false);
    }
    return new Port.Circuits(thresholds, safeOn);
  }

  /**
   * Where something starts; a channel without a universe, and a pixel index, count own channels.
   */
  private Cursor cursor(JsonNode one, int width, boolean line) {
    JsonNode start = one.path("start");
    if (start.has("pixelIndex")) {
      return Cursor.ownChannels(heard, start.get("pixelIndex").asInt() * width + 1);
    } else if (start.has("universe")) {
      int universe = heard.wire(start.get("universe").asInt());
      return Cursor.onTheWire(heard, universe, start.path("channel").asInt(1), line);
    } else if (start.has("unwritable")) {
      return Cursor.ownChannels(heard, Integer.MIN_VALUE / 2);
    }
    return start.has("channel") ? Cursor.ownChannels(heard, start.get("channel").asInt()) : null;
  }

  private void pixels(JsonNode output, Laying laying) {
    int width = output.get("channelsPerPixel").asInt();
    Cursor cursor = cursor(output, width, false);
    boolean counts = cursor == null && !output.get("sections").get(0).has("start");
    if (counts) {
      cursor = Cursor.ownChannels(heard, counted);
    }
    boolean first = true;
    for (JsonNode section : output.get("sections")) {
      Cursor own = cursor(section, width, false);
      cursor = own == null ? cursor : own;
      section(output, section, first, width, cursor, laying);
      first = false;
    }
    if (counts) {
      counted = cursor.channel();
    }
  }

  private void section(
      JsonNode output, JsonNode section, boolean first, int width, Cursor cursor, Laying laying) {
    // at the plug once a port, before each section else
    int nulls =
        section.has("nullPixels") || !first
            ? section.path("nullPixels").asInt(0)
            : output.at("/options/nullPixels").asInt(0);
    for (int i = 0; i < nulls * width; i++) {
      laying.add(Port.DARK, 100);
    }
    int pixels = section.get("pixels").asInt();
    int group = option(output, section, "group").asInt(1);
    int fold = option(output, section, "fold").asInt(pixels);
    int bright = option(output, section, "brightness").asInt(100);
    boolean backward = option(output, section, "backward").asBoolean(false);
    String order = order(output, section, width);
    int[][] slots = slots(cursor, (pixels + group - 1) / group, width);
    for (int w = 0; w < pixels; w++) {
      int row = w / fold;
      int inRow = Math.min(fold, pixels - row * fold);
      int q = row * fold + (row % 2 == 1 ? inRow - 1 - w % fold : w % fold);
      int pixel = backward ? pixels - 1 - q : q;
      for (int b = 0; b < width; b++) {
        int channel = NATURAL.get(width - 1).indexOf(order.charAt(b));
        laying.add(slots[pixel / group][channel], bright);
      }
    }
  }

  /** The slots of addresses one after another, each of some channels. */
  private int[][] slots(Cursor cursor, int addresses, int width) {
    boolean whole = told.path("packing").asString("CONTIGUOUS").equals("WHOLE_PIXEL");
    int[][] slots = new int[addresses][width];
    for (int a = 0; a < addresses; a++) {
      if (whole && cursor.room() < width) {
        cursor.move(cursor.room());
      }
      for (int c = 0; c < width; c++) {
        slots[a][c] = cursor.at(c);
      }
      cursor.move(width);
    }
    return slots;
  }

  private static JsonNode option(JsonNode output, JsonNode section, String name) {
    return section.has(name) ? section.get(name) : output.path("options").path(name);
  }

  /** Where nobody tells it, the device sends its bytes as it always does. */
  private String order(JsonNode output, JsonNode section, int width) {
    String usual = model.path("colourOrder").asString("");
    return option(output, section, "colourOrder")
        .asString(usual.length() == width ? usual : NATURAL.get(width - 1));
  }

  /** What every slot of a line shows, whatever hangs on it. */
  private int[] line(JsonNode output, Laying laying) {
    Cursor base = cursor(output, 1, true);
    for (JsonNode fixture : output.get("sections")) {
      for (int i = 0; i < fixture.get("slots").asInt(); i++) {
        laying.add(base.at(fixture.get("slot").asInt() - 1 + i), 100);
      }
    }
    int[] slots = new int[Heard.SLOTS];
    Arrays.setAll(slots, base::at);
    return slots;
  }

  /** Row by row from the top left, as seen from the front. */
  private void wall(JsonNode wall, Laying laying) {
    JsonNode matrix = wall.get("matrix");
    int width = matrix.get("width").asInt();
    int height = matrix.get("height").asInt();
    int[][] slots = slots(cursor(wall, 3, false), width * height, 3);
    int bright = wall.path("brightness").asInt(100);
    String corner = matrix.at("/order/start").asString();
    boolean rows = matrix.at("/order/lines").asString().equals("ROWS");
    boolean serpentine = matrix.at("/order/serpentine").asBoolean();
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        int across = corner.endsWith("RIGHT") ? width - 1 - x : x;
        int down = corner.startsWith("BOTTOM") ? height - 1 - y : y;
        int line = rows ? down : across;
        int along = rows ? across : down;
        int length = rows ? width : height;
        int turned = serpentine && line % 2 == 1 ? length - 1 - along : along;
        for (int c = 0; c < 3; c++) {
          laying.add(slots[line * length + turned][c], bright);
        }
      }
    }
  }
}
