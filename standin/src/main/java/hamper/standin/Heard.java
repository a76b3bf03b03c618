package hamper.standin;

import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import tools.jackson.databind.JsonNode;

/**
 * What a device listens to, by its document: each universe has its place in one row of levels, and
 * own channels count on through the inputs. docs/formats/configuration.md, "Universes and
 * channels".
 */
final class Heard {
  /** Slots of a universe that have room in the row, however many are listened to. */
  static final int SLOTS = 512;

  /** What stands for a slot that is not heard. */
  static final int DEAF = -2;

  final boolean ddp;
  private final int from;
  private final boolean artnet;

  /** Where each universe begins in the row. */
  private final Map<Integer, Integer> bases = new TreeMap<>();

  /** Channels that are heard of a universe: by the device's own inputs, and by DMX lines. */
  private final Map<Integer, Integer> sizes = new TreeMap<>();

  private final Map<Integer, Integer> lines = new TreeMap<>();

  /** Own channel, from 1, to its place in the row. */
  private final Map<Integer, Integer> own = new HashMap<>();

  private int length;

  /**
   * @param told of a document
   * @param dialect of the model: from which number it writes universes
   */
  Heard(JsonNode told, JsonNode dialect) {
    String protocol = told.get("protocol").asString();
    ddp = protocol.equals("DDP");
    artnet = protocol.equals("ARTNET");
    from = artnet ? dialect.path("artnetFrom").asInt(0) : dialect.path("e131From").asInt(1);
    int next = 1;
    for (JsonNode input : told.get("inputs")) {
      next = listen(input, next);
    }
  }

  private int listen(JsonNode input, int firstOwn) {
    int size = input.get("size").asInt();
    if (ddp) {
      count(firstOwn, 0, size);
      length = size;
      return firstOwn + size;
    }
    int next = firstOwn;
    for (int u = 0; u < input.get("count").asInt(); u++) {
      int number = wire(input.get("universe").asInt()) + u;
      int base = bases.computeIfAbsent(number, key -> room());
      if (input.has("dmxPort")) {
        lines.put(number, size);
        continue;
      }
      sizes.put(number, size);
      int start = input.has("start") ? input.get("start").asInt() + u * size : next;
      count(start, base, size);
      next = start + size;
    }
    return next;
  }

  private int room() {
    length += SLOTS;
    return length - SLOTS;
  }

  private void count(int firstOwn, int base, int size) {
    for (int c = 0; c < size; c++) {
      own.put(firstOwn + c, base + c);
    }
  }

  /** As on the wire: E1.31 begins with 1, Art-Net with 0. */
  int wire(int written) {
    return written - from + (artnet ? 0 : 1);
  }

  /** Levels of everything that is heard. */
  int length() {
    return length;
  }

  /** All that it listens to; none on DDP. */
  Set<Integer> universes() {
    return bases.keySet();
  }

  /** Where a universe begins in the row; {@link #DEAF} where it is not heard. */
  int baseOf(int number) {
    return bases.getOrDefault(number, DEAF);
  }

  /** Where a universe ends that is told to somebody: 512 where nobody hears it. */
  int sizeOf(int number, boolean line) {
    return (line ? lines : sizes).getOrDefault(number, SLOTS);
  }

  int ofOwn(int channel) {
    return own.getOrDefault(channel, DEAF);
  }

  int ofWire(int number, int channel, boolean line) {
    boolean heard = channel <= (line ? lines : sizes).getOrDefault(number, 0);
    return heard ? bases.get(number) + channel - 1 : DEAF;
  }

  /** A place of the row for people: "9:281", or "byte 40". */
  String told(int place) {
    if (place < 0) {
      return place == DEAF ? "not heard" : "-";
    }
    if (ddp) {
      return "byte " + place;
    }
    for (Map.Entry<Integer, Integer> one : bases.entrySet()) {
      int channel = place - one.getValue() + 1;
      if (channel >= 1 && channel <= SLOTS) {
        return one.getKey() + ":" + channel;
      }
    }
    throw new IllegalArgumentException("No such place: " + place);
  }
}
