package hamper.standin;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.ToIntFunction;
import tools.jackson.databind.JsonNode;

/** A document played on paper: which slot each byte of each port shows, without a packet. */
public final class Played {
  private static final String PANEL = "PANEL";

  private final Wiring wiring;

  /**
   * @param told of a document
   * @param model what the device is by itself: its entry of a catalogue
   */
  public Played(JsonNode told, JsonNode model) {
    wiring = new Wiring(told, model);
  }

  /**
   * @return by port, such as "PIXEL 4", a text for each byte: "universe:channel" on the wire, "byte
   *     n" on DDP, "-" of a null pixel, "not heard"; of walls one text a pixel
   */
  public Map<String, List<String>> texts() {
    Map<String, List<String>> played = new LinkedHashMap<>();
    for (Port port : wiring.ports()) {
      int step = port.named().startsWith(PANEL) ? port.width() : 1;
      List<String> texts = new ArrayList<>();
      for (int i = 0; i < port.places().length; i += step) {
        List<String> parts = new ArrayList<>();
        for (int b = i; b < i + step; b++) {
          parts.add(wiring.heard().told(port.places()[b]));
        }
        texts.add(String.join(" ", parts));
      }
      played.put(port.named(), texts);
    }
    return played;
  }

  /**
   * What a port of a device shows, without a packet.
   *
   * @param named such as "PIXEL 4"
   * @param levelOf the level of what is told as "universe:channel" or "byte n"
   * @return a byte for each channel of each pixel as it is clocked
   */
  public byte[] shown(String named, ToIntFunction<String> levelOf) {
    Port port =
        wiring.ports().stream().filter(one -> one.named().equals(named)).findFirst().orElseThrow();
    byte[] bytes = new byte[port.places().length];
    for (int i = 0; i < bytes.length; i++) {
      int place = port.places()[i];
      int level = place < 0 ? 0 : levelOf.applyAsInt(wiring.heard().told(place));
      bytes[i] = (byte) ((level * port.percent()[i] + 50) / 100);
    }
    return bytes;
  }
}
