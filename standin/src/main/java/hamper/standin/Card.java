package hamper.standin;

import java.util.Base64;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A strip decoder on a DMX line, as the card in it says: it shows the slots of the line from its
 * own start slot on. docs/formats/unit.schema.json.
 *
 * @param line the port of the line, such as "DMX 2"
 * @param piece whose it is
 * @param slot its first, from 1
 * @param pixels of its strip
 * @param width channels of each
 */
record Card(String line, String piece, int slot, int pixels, int width) {
  /**
   * @throws Device.RefusedException where it is no document of a strip decoder
   */
  static Card read(String line, JsonNode document) throws Device.RefusedException {
    JsonNode told = document.path("told");
    boolean decoder =
        document.path("format").asString("").equals("hamper-unit")
            && document.path("formatVersion").asInt(0) == 1
            && told.path("unit").asString("").equals("DECODER");
    int slot = told.path("slot").asInt(0);
    int pixels = told.path("pixels").asInt(0);
    int width = told.path("channelsPerPixel").asInt(0);
    if (!decoder || slot < 1 || slot > Heard.SLOTS || pixels < 1 || pixels > Heard.SLOTS) {
      throw new Device.RefusedException(
          "a card has a hamper-unit of version 1 for a DECODER with slot and pixels");
    }
    String piece = document.at("/about/piece").asString("");
    return new Card(line, piece, slot, pixels, Math.max(1, Math.min(width, 6)));
  }

  /**
   * What its strip shows; what is beyond the line's end is dark.
   *
   * @param slots of the line: their places in the row of levels
   */
  ObjectNode shown(int[] slots, byte[] levels) {
    byte[] shown = new byte[pixels * width];
    for (int i = 0; i < shown.length; i++) {
      int at = slot - 1 + i;
      shown[i] = at < slots.length && slots[at] >= 0 ? levels[slots[at]] : 0;
    }
    return Device.JSON
        .createObjectNode()
        .put("line", line)
        .put("piece", piece)
        .put("width", width)
        .put("shown", Base64.getEncoder().encodeToString(shown));
  }
}
