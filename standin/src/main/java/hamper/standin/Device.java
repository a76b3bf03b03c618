package hamper.standin;

import java.util.ArrayList;
import java.util.Base64;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * A device: it takes a configuration document, receives, and says what it shows. What was taken but
 * not kept is lost when it restarts. Safe for several threads.
 */
final class Device {
  static final JsonMapper JSON = new JsonMapper();

  /** Why a document is not taken. */
  static final class RefusedException extends Exception {
    private static final long serialVersionUID = 1L;

    RefusedException(String message) {
      super(message);
    }
  }

  private final Seat seat;
  private final String address;
  private final Clock clock;

  /** Of so many packets one is lost, where packets are lost. */
  private static final int LOSES_ONE_IN = 5;

  private long arrivals;
  private Counters counters = new Counters();
  private JsonNode document;
  private JsonNode kept;
  private Wiring wiring;
  private Receiver receiver;
  private final Set<Misbehaviour> misbehaves = EnumSet.noneOf(Misbehaviour.class);

  Device(Seat seat, String address, Clock clock) {
    this.seat = seat;
    this.address = address;
    this.clock = clock;
  }

  String address() {
    return address;
  }

  synchronized ObjectNode identity() {
    return JSON.createObjectNode()
        .put("format", "hamper-giving")
        .put("formatVersion", 1)
        .put("maker", seat.model().path("maker").asString(""))
        .put("model", misbehaves.contains(Misbehaviour.OTHER_MODEL) ? "stranger" : seat.modelId())
        .put("name", seat.model().path("name").asString(""))
        .put("revision", seat.model().path("revision").asString(""))
        .put("serial", "SI-" + Integer.toHexString(seat.controller().hashCode()))
        .put("address", misbehaves.contains(Misbehaviour.OTHER_ADDRESS) ? "127.0.0.1" : address);
  }

  /** Switches a misbehaviour on or off; what it was told is read anew. */
  synchronized void misbehave(Misbehaviour what, boolean on) {
    if (on) {
      misbehaves.add(what);
    } else {
      misbehaves.remove(what);
    }
    if (document != null) {
      use(document);
    }
  }

  synchronized Set<Misbehaviour> misbehaviours() {
    return EnumSet.copyOf(misbehaves);
  }

  synchronized boolean misbehaves(Misbehaviour what) {
    return misbehaves.contains(what);
  }

  /** Takes a document whole, or not at all. */
  synchronized String take(byte[] bytes) throws RefusedException {
    JsonNode taken = read(bytes);
    try {
      use(taken);
    } catch (RuntimeException e) {
      throw new RefusedException("It cannot be read as docs/formats/configuration.md has it: " + e);
    }
    return taken.path("fingerprint").asString("");
  }

  private JsonNode read(byte[] bytes) throws RefusedException {
    JsonNode root;
    try {
      root = JSON.readTree(bytes);
    } catch (RuntimeException e) {
      throw new RefusedException("It is no JSON");
    }
    if (!root.path("format").asString("").equals("hamper-configuration")
        || root.path("formatVersion").asInt(0) != 2) {
      throw new RefusedException("format is not hamper-configuration of version 2");
    }
    String model = root.at("/told/model").asString("");
    if (!model.equals(seat.modelId()) || misbehaves.contains(Misbehaviour.OTHER_MODEL)) {
      String here = misbehaves.contains(Misbehaviour.OTHER_MODEL) ? "stranger" : seat.modelId();
      throw new RefusedException("told.model is \"%s\"; this is a %s".formatted(model, here));
    }
    Limits.check(root.get("told"));
    for (JsonNode output : root.at("/told/outputs")) {
      if (!output.has("kind") || !output.has("port") || !output.has("used")) {
        throw new RefusedException("told.outputs: each has kind, port and used");
      }
    }
    return root;
  }

  private void use(JsonNode taken) {
    JsonNode told = Misread.of(taken.get("told"), misbehaves);
    Wiring laid = new Wiring(told, seat.model());
    boolean artnet = told.get("protocol").asString().equals("ARTNET");
    boolean waits = seat.model().path("synchronizes").asBoolean(false);
    receiver = new Receiver(laid.heard(), artnet, waits, counters);
    wiring = laid;
    document = taken;
  }

  /** Nothing before a document was taken. */
  synchronized JsonNode document() {
    return document;
  }

  synchronized boolean keep() {
    kept = document;
    return kept != null;
  }

  synchronized void restart() {
    counters = new Counters();
    document = null;
    wiring = null;
    receiver = null;
    if (kept != null) {
      use(kept);
    }
  }

  /** Counts what arrives; some of it does not. */
  private boolean arrives() {
    if (misbehaves.contains(Misbehaviour.OFF)) {
      return false;
    }
    arrivals++;
    if (misbehaves.contains(Misbehaviour.DROPS) && arrivals % LOSES_ONE_IN == 0) {
      return false;
    }
    counters.arrived();
    return receiver != null;
  }

  synchronized void e131(byte[] packet, int length, String sender) {
    if (arrives()) {
      receiver.e131(packet, length, sender, clock.millis());
    }
  }

  synchronized void artNet(byte[] packet, int length, String sender) {
    if (arrives()) {
      receiver.artNet(packet, length, sender, clock.millis());
    }
  }

  synchronized void ddp(byte[] packet, int length, String sender) {
    if (arrives()) {
      receiver.ddp(packet, length, sender, clock.millis());
    }
  }

  /** What every byte of every port shows, as base64. */
  synchronized ObjectNode state() {
    ObjectNode root = JSON.createObjectNode().put("packets", counters.packets());
    var ports = root.putArray("ports");
    List<Port> all = wiring == null ? new ArrayList<>() : wiring.ports();
    for (Port port : all) {
      byte[] shown = port.shown(receiver.levels());
      Misshown.spoil(port, shown, misbehaves);
      ports
          .addObject()
          .put("port", port.named())
          .put("width", port.width())
          .put("shown", Base64.getEncoder().encodeToString(shown));
    }
    return root;
  }

  synchronized ObjectNode counters() {
    long now = clock.millis();
    ObjectNode root = JSON.createObjectNode().put("packets", counters.packets());
    root.put("quarrels", receiver == null ? 0 : receiver.quarrels(now));
    var streams = root.putArray("streams");
    counters
        .streams()
        .forEach(
            (key, stream) -> {
              int cut = key.lastIndexOf(' ');
              streams
                  .addObject()
                  .put("sender", key.substring(0, cut))
                  .put("universe", Integer.parseInt(key.substring(cut + 1)))
                  .put("packets", stream.packets)
                  .put("sequenceErrors", stream.sequenceErrors)
                  .put("lastMillisAgo", now - stream.last);
            });
    ObjectNode refused = root.putObject("refused");
    counters.refused().forEach(refused::put);
    return root;
  }

  synchronized long packets() {
    return counters.packets();
  }
}
