package hamper.standin;

import java.util.Base64;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;

/**
 * What comes out of a device's ports: levels while a source is there, else what its model does by
 * itself; its own test before all. docs/formats/giving.md, "State", "By itself".
 */
final class Shining {
  private final JsonNode model;
  private final Set<Misbehaviour> misbehaves;

  /** What each port showed when a pixel of it died. */
  private final Map<String, byte[]> frozen = new HashMap<>();

  /** Levels when its power went. */
  private byte[] before = {};

  private boolean testing;

  /**
   * @param misbehaves as it is at the time
   */
  Shining(JsonNode model, Set<Misbehaviour> misbehaves) {
    this.model = model;
    this.misbehaves = misbehaves;
  }

  void test(boolean on) {
    testing = on;
  }

  boolean testing() {
    return testing;
  }

  /** Its power goes, and comes back. */
  void restart(byte[] levels) {
    before = levels;
    testing = false;
  }

  /** Something begins or ends to misbehave: a pixel that dies freezes what is shown now. */
  void freeze(List<Port> ports, Receiver receiver, long now) {
    frozen.clear();
    ports.forEach(port -> frozen.put(port.named(), whole(port, receiver, now)));
  }

  /** All ports, as base64. */
  void tell(List<Port> ports, Receiver receiver, long now, ArrayNode to) {
    for (Port port : ports) {
      byte[] shown = whole(port, receiver, now);
      byte[] died = shown;
      if (misbehaves.contains(Misbehaviour.DEAD_PIXEL_FROZEN)) {
        byte[] first = shown.clone();
        died = frozen.computeIfAbsent(port.named(), named -> first);
      }
      Misshown.spoil(port, shown, died.length == shown.length ? died : shown, misbehaves);
      to.addObject()
          .put("port", port.named())
          .put("width", port.width())
          .put("shown", Base64.getEncoder().encodeToString(shown));
    }
  }

  /** As it would be if nothing of it misbehaved. */
  private byte[] whole(Port port, Receiver receiver, long now) {
    if (testing) {
      return port.tested();
    } else if (receiver.begun() && !receiver.lost(now)) {
      return port.shown(receiver.levels());
    }
    return switch (byItself(receiver.begun() ? "lostSource" : "atStart")) {
      case "HOLD" -> port.shown(receiver.begun() ? receiver.levels() : remembered(receiver));
      case "STORED" -> port.stored();
      default -> port.safe();
    };
  }

  private byte[] remembered(Receiver receiver) {
    return before.length == receiver.levels().length ? before : receiver.levels();
  }

  private String byItself(String when) {
    if (misbehaves.contains(Misbehaviour.HOLDS)) {
      return "HOLD";
    } else if (misbehaves.contains(Misbehaviour.PLAYS_STORED)) {
      return "STORED";
    } else if (misbehaves.contains(Misbehaviour.GOES_SAFE)) {
      return "SAFE";
    }
    return model.path(when).asString("SAFE");
  }
}
