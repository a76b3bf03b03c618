package hamper.decoder;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/**
 * A device as a stranger would build it who has docs/formats and nothing else: it reads the part
 * "told" of its document, and says of every byte on every wire which slot of which universe it
 * shows. Shares no code with the core.
 */
final class PlayedDevice {
  /** What stands for a slot: "universe:channel" on the wire, or "byte n" on DDP. */
  static final String DEAF = "not heard";

  private static final List<String> NATURAL = List.of("W", "WA", "RGB", "RGBW", "RGBWA", "RGBWAV");

  private final JsonNode told;
  private final JsonNode model;
  private final boolean ddp;

  /** Slots that the device hears, in the order of its own channels, from its channel 1. */
  private final Map<Integer, String> own = new LinkedHashMap<>();

  /** Sizes of the universes that it hears, of its own and of its DMX lines. */
  private final Map<Integer, Integer> sizes = new LinkedHashMap<>();

  private final Map<Integer, Integer> lines = new LinkedHashMap<>();

  /** Where a device that only counts goes on, in its own channels. */
  private int counted = 1;

  /**
   * @param told of a document
   * @param model of the catalogue: what the device is when nobody has told it anything
   */
  PlayedDevice(JsonNode told, JsonNode model) {
    this.told = told;
    this.model = model;
    this.ddp = told.get("protocol").asString().equals("DDP");
    listen();
  }

  private void listen() {
    int next = 1;
    for (JsonNode input : told.get("inputs")) {
      int size = input.get("size").asInt();
      if (ddp) {
        for (int i = 0; i < size; i++) {
          own.put(i + 1, "byte " + i);
        }
        continue;
      }
      for (int u = 0; u < input.get("count").asInt(); u++) {
        int universe = wire(input.get("universe").asInt()) + u;
        if (input.has("dmxPort")) {
          lines.put(universe, size); // a line's own universe, not the device's
          continue;
        }
        sizes.put(universe, size);
        int start = input.has("start") ? input.get("start").asInt() + u * size : next;
        for (int c = 0; c < size; c++) {
          own.put(start + c, universe + ":" + (c + 1));
        }
        next = start + size;
      }
    }
  }

  /** Universes are written from 0 or 1; on the wire E1.31 begins with 1, Art-Net with 0. */
  private int wire(int written) {
    boolean artnet = told.get("protocol").asString().equals("ARTNET");
    JsonNode dialect = model.get("dialect");
    int from = artnet ? dialect.path("artnetFrom").asInt(0) : dialect.path("e131From").asInt(1);
    return written - from + (artnet ? 0 : 1);
  }

  /** A place that moves on, slot by slot. */
  private interface Cursor {
    /** The slot at so many steps from here. */
    String at(int steps);

    /** How many slots are left until a universe ends; plenty where nothing ends. */
    int room();

    void move(int steps);
  }

  private static final class OnTheWire implements Cursor {
    private final Map<Integer, Integer> sizes;
    private int universe;
    private int channel;

    OnTheWire(Map<Integer, Integer> sizes, int universe, int channel) {
      this.sizes = sizes;
      this.universe = universe;
      this.channel = channel;
    }

    private int size() {
      return sizes.getOrDefault(universe, 512);
    }

    @Override
    public String at(int steps) {
      OnTheWire there = new OnTheWire(sizes, universe, channel);
      there.move(steps);
      boolean heard = there.channel <= sizes.getOrDefault(there.universe, 0);
      return heard ? there.universe + ":" + there.channel : DEAF;
    }

    @Override
    public int room() {
      return size() - channel + 1;
    }

    @Override
    public void move(int steps) {
      channel += steps;
      while (channel > size()) {
        channel -= size();
        universe++;
      }
    }
  }

  private final class InOwnChannels implements Cursor {
    private int channel;

    InOwnChannels(int channel) {
      this.channel = channel;
    }

    @Override
    public String at(int steps) {
      return own.getOrDefault(channel + steps, DEAF);
    }

    @Override
    public int room() {
      return Integer.MAX_VALUE;
    }

    @Override
    public void move(int steps) {
      channel += steps;
    }
  }

  /**
   * What each port shows: of a pixel port one text a byte on the wire, "-" for each byte of a null
   * pixel; of others one text a channel.
   */
  Map<String, List<String>> play() {
    Map<String, List<String>> shown = new LinkedHashMap<>();
    for (JsonNode output : told.get("outputs")) {
      String named = output.get("kind").asString() + " " + output.get("port").asInt();
      shown.put(named, output.get("used").asBoolean() ? bytesOf(output) : List.of());
    }
    return shown;
  }

  private List<String> bytesOf(JsonNode output) {
    List<String> bytes = new ArrayList<>();
    switch (output.get("kind").asString()) {
      case "PIXEL" -> pixels(output, bytes);
      case "DMX" -> line(output, bytes);
      case "RELAY" ->
          output.get("sections").forEach(circuit -> bytes.add(cursor(circuit, 1, sizes).at(0)));
      case "PANEL" -> output.get("sections").forEach(wall -> wall(wall, bytes));
      default -> throw new IllegalArgumentException(output.toString());
    }
    return bytes;
  }

  /**
   * Where something starts; a channel without a universe, and a pixel index, count own channels.
   */
  private Cursor cursor(JsonNode told, int width, Map<Integer, Integer> heard) {
    JsonNode start = told.path("start");
    if (start.has("pixelIndex")) {
      return new InOwnChannels(start.get("pixelIndex").asInt() * width + 1);
    } else if (start.has("universe")) {
      return new OnTheWire(
          heard, wire(start.get("universe").asInt()), start.path("channel").asInt(1));
    }
    if (start.has("unwritable")) {
      return new InOwnChannels(Integer.MIN_VALUE / 2);
    }
    return start.has("channel") ? new InOwnChannels(start.get("channel").asInt()) : null;
  }

  private void pixels(JsonNode output, List<String> bytes) {
    int width = output.get("channelsPerPixel").asInt();
    Cursor cursor = cursor(output, width, sizes);
    boolean counts = cursor == null && !output.get("sections").get(0).has("start");
    if (counts) {
      cursor = new InOwnChannels(counted);
    }
    boolean first = true;
    for (JsonNode section : output.get("sections")) {
      Cursor ownStart = cursor(section, width, sizes);
      cursor = ownStart == null ? cursor : ownStart;
      section(output, section, first, width, cursor, bytes);
      first = false;
    }
    if (counts) {
      counted = ((InOwnChannels) cursor).channel;
    }
  }

  private void section(
      JsonNode output,
      JsonNode section,
      boolean first,
      int width,
      Cursor cursor,
      List<String> bytes) {
    // at the plug once a port, before each section else
    int nulls =
        section.has("nullPixels") || !first
            ? section.path("nullPixels").asInt(0)
            : output.at("/options/nullPixels").asInt(0);
    for (int i = 0; i < nulls * width; i++) {
      bytes.add("-");
    }
    int pixels = section.get("pixels").asInt();
    int group = option(output, section, "group").asInt(1);
    int fold = option(output, section, "fold").asInt(pixels);
    boolean backward = option(output, section, "backward").asBoolean(false);
    String order = order(output, section, width);
    int addresses = (pixels + group - 1) / group;
    String[][] slots = new String[addresses][width];
    for (int a = 0; a < addresses; a++) {
      if (packsWhole() && cursor.room() < width) {
        cursor.move(cursor.room());
      }
      for (int c = 0; c < width; c++) {
        slots[a][c] = cursor.at(c);
      }
      cursor.move(width);
    }
    for (int w = 0; w < pixels; w++) {
      int row = w / fold;
      int inRow = Math.min(fold, pixels - row * fold);
      int q = row * fold + (row % 2 == 1 ? inRow - 1 - w % fold : w % fold);
      int pixel = backward ? pixels - 1 - q : q;
      for (int b = 0; b < width; b++) {
        bytes.add(slots[pixel / group][NATURAL.get(width - 1).indexOf(order.charAt(b))]);
      }
    }
  }

  private boolean packsWhole() {
    return told.path("packing").asString("CONTIGUOUS").equals("WHOLE_PIXEL");
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

  private void line(JsonNode output, List<String> bytes) {
    Cursor base = cursor(output, 1, lines);
    for (JsonNode fixture : output.get("sections")) {
      for (int i = 0; i < fixture.get("slots").asInt(); i++) {
        bytes.add(base.at(fixture.get("slot").asInt() - 1 + i));
      }
    }
  }

  /** Row by row from the top left, as seen from the front. */
  private void wall(JsonNode wall, List<String> bytes) {
    Cursor cursor = cursor(wall, 3, sizes);
    JsonNode matrix = wall.get("matrix");
    int width = matrix.get("width").asInt();
    int height = matrix.get("height").asInt();
    String corner = matrix.at("/order/start").asString();
    boolean rows = matrix.at("/order/lines").asString().equals("ROWS");
    boolean serpentine = matrix.at("/order/serpentine").asBoolean();
    List<String> slots = new ArrayList<>();
    for (int a = 0; a < width * height; a++) {
      if (packsWhole() && cursor.room() < 3) {
        cursor.move(cursor.room());
      }
      slots.add(cursor.at(0) + " " + cursor.at(1) + " " + cursor.at(2));
      cursor.move(3);
    }
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        int across = corner.endsWith("RIGHT") ? width - 1 - x : x;
        int down = corner.startsWith("BOTTOM") ? height - 1 - y : y;
        int line = rows ? down : across;
        int along = rows ? across : down;
        int length = rows ? width : height;
        int turned = serpentine && line % 2 == 1 ? length - 1 - along : along;
        bytes.add(slots.get(line * length + turned));
      }
    }
  }
}
