package hamper.standin;

import hamper.wire.ArtNet;
import hamper.wire.Ddp;
import java.net.InetSocketAddress;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Consumer;
import tools.jackson.core.JacksonException;
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

  private static final int MOST_CARDS = 1_000;

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
  private final Map<String, Card> cards = new TreeMap<>();
  private final RdmLines rdm = new RdmLines();
  private final Shining shining;
  private boolean artnet;
  private int polls;
  private Consumer<Set<Integer>> joins = universes -> {};
  private Set<Integer> joined = Set.of();

  Device(Seat seat, String address, Clock clock) {
    this.seat = seat;
    this.address = address;
    this.clock = clock;
    shining = new Shining(seat.model(), misbehaves);
  }

  Seat seat() {
    return seat;
  }

  String address() {
    return address;
  }

  /** Tells somebody, now and whenever they change, the universes whose groups it has to join. */
  void listensTo(Consumer<Set<Integer>> join) {
    synchronized (this) {
      joins = join;
    }
    joinAnew();
  }

  /** Not while the device is locked: joining takes a lock of its own. */
  private void joinAnew() {
    Consumer<Set<Integer>> join;
    Set<Integer> wanted;
    synchronized (this) {
      join = joins;
      boolean groups =
          document != null && document.at("/told/transport").asString("").equals("MULTICAST");
      wanted = groups && !artnet ? receiver.groups() : Set.of();
      if (wanted.equals(joined)) {
        return;
      }
      joined = wanted;
    }
    join.accept(wanted);
  }

  synchronized ObjectNode identity() {
    Label label = label();
    return JSON.createObjectNode()
        .put("format", "hamper-giving")
        .put("formatVersion", 1)
        .put("maker", label.maker())
        .put("model", misbehaves.contains(Misbehaviour.OTHER_MODEL) ? "stranger" : seat.modelId())
        .put("name", label.product())
        .put("ownName", label.ownName())
        .put("revision", seat.model().path("revision").asString(""))
        .put("serial", serial())
        .put("address", misbehaves.contains(Misbehaviour.OTHER_ADDRESS) ? "127.0.0.1" : address);
  }

  /** What it says of itself, whoever asks: by what it was told, people called it. */
  private Label label() {
    String own = "";
    if (misbehaves.contains(Misbehaviour.OTHER_NAME)) {
      own = "Garage 2";
    } else if (document != null) {
      JsonNode about = document.path("about");
      own = (about.path("tag").asString("") + " " + about.path("name").asString("")).strip();
    }
    boolean other = misbehaves.contains(Misbehaviour.OTHER_MODEL);
    return new Label(
        other ? "Somebody" : seat.model().path("maker").asString(""),
        other ? "Stranger" : seat.model().path("name").asString(""),
        own);
  }

  private String serial() {
    String own = "SI-" + Integer.toHexString(seat.controller().hashCode());
    return misbehaves.contains(Misbehaviour.OTHER_UNIT) ? own + "-B" : own;
  }

  /** Switches a misbehaviour on or off; what it was told is read anew. */
  synchronized void misbehave(Misbehaviour what, boolean on) {
    if (receiver != null) {
      shining.freeze(ports(), receiver, clock.millis());
    }
    if (on) {
      misbehaves.add(what);
    } else {
      misbehaves.remove(what);
    }
    if (what == Misbehaviour.OTHER_UNIT) {
      kept = null; // a spare out of its box
      forget();
    }
    if (document != null) {
      use(document);
    }
  }

  private void forget() {
    document = null;
    wiring = null;
    receiver = null;
  }

  synchronized Set<Misbehaviour> misbehaviours() {
    return EnumSet.copyOf(misbehaves);
  }

  synchronized boolean misbehaves(Misbehaviour what) {
    return misbehaves.contains(what);
  }

  /** Takes a document whole, or not at all. */
  String take(byte[] bytes) throws RefusedException {
    String fingerprint;
    synchronized (this) {
      JsonNode taken = read(bytes);
      try {
        use(taken);
      } catch (RuntimeException e) {
        throw new RefusedException(
            "It cannot be read as docs/formats/configuration.md has it: " + e);
      }
      fingerprint = taken.path("fingerprint").asString("");
    }
    joinAnew();
    return fingerprint;
  }

  /**
   * Puts the card of a strip decoder into the one that hangs on a line.
   *
   * @param line such as "DMX 2"
   */
  synchronized void card(String line, byte[] bytes) throws RefusedException {
    Card card;
    try {
      card = Card.read(line, JSON.readTree(bytes));
    } catch (RuntimeException e) {
      throw new RefusedException("It is no JSON");
    }
    if (cards.size() >= MOST_CARDS && !cards.containsKey(card.piece())) {
      throw new RefusedException("There is room for %d cards".formatted(MOST_CARDS));
    }
    cards.put(card.piece(), card);
  }

  /**
   * Hangs fixtures that answer RDM on a line, in place of those before.
   *
   * @param line such as "DMX 2"
   */
  synchronized void fixtures(String line, byte[] bytes) throws RefusedException {
    try {
      rdm.hang(line, JSON.readTree(bytes));
    } catch (JacksonException e) {
      throw new RefusedException("It is no JSON");
    }
  }

  synchronized ObjectNode fixtures(String line) {
    ObjectNode root = JSON.createObjectNode();
    root.set("fixtures", rdm.told(line));
    return root;
  }

  /** Its DMX lines by the Port-Address that RDM has there: the universe of each on the wire. */
  private Map<Integer, String> lines() {
    Map<Integer, String> lines = new TreeMap<>();
    if (document != null) {
      for (JsonNode input : document.at("/told/inputs")) {
        if (input.has("dmxPort")) {
          int universe = wiring.heard().wire(input.get("universe").asInt());
          lines.put(universe, "DMX " + input.get("dmxPort").asInt());
        }
      }
    }
    return lines;
  }

  /** Switches its own test on or off: everything full, whatever it was told. */
  synchronized void test(boolean on) {
    shining.test(on);
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
    ModelLimits.check(root.get("told"), seat.model());
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
    artnet = told.get("protocol").asString().equals("ARTNET");
    boolean waits = seat.model().path("synchronizes").asBoolean(false);
    receiver = new Receiver(laid.heard(), artnet, waits, counters);
    wiring = laid;
    document = taken;
  }

  /** Nothing before a document was taken. */
  synchronized JsonNode document() {
    return document;
  }

  /** Keeps what it was told; answers whether it does. */
  synchronized boolean keep() {
    if (misbehaves.contains(Misbehaviour.KEEPS_NOTHING)) {
      return false;
    }
    kept = document;
    return kept != null;
  }

  void restart() {
    synchronized (this) {
      shining.restart(receiver == null ? new byte[0] : receiver.levels().clone());
      counters = new Counters();
      forget();
      if (kept != null && !misbehaves.contains(Misbehaviour.FORGETS)) {
        use(kept);
      }
    }
    joinAnew();
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

  void e131(byte[] packet, int length, InetSocketAddress sender) {
    boolean met;
    synchronized (this) {
      if (!arrives()) {
        return;
      }
      int known = receiver.met();
      receiver.e131(packet, length, sender, clock.millis());
      met = receiver.met() > known;
    }
    if (met) {
      joinAnew();
    }
  }

  /** Takes a packet; answers what is to be sent back. */
  synchronized List<byte[]> artNet(byte[] packet, int length, InetSocketAddress sender) {
    boolean arrives = arrives();
    if (ArtNet.is(packet, length) && ArtNet.opcode(packet) == ArtNet.POLL) {
      return poll(packet, length);
    }
    if (RdmLines.is(packet, length)) {
      boolean answers = speaks("ARTNET") && !misbehaves.contains(Misbehaviour.OFF);
      return answers ? rdm.answer(packet, length, lines()) : List.of();
    }
    if (arrives) {
      receiver.artNet(packet, length, sender, clock.millis());
    }
    return List.of();
  }

  private List<byte[]> poll(byte[] packet, int length) {
    boolean speaks = speaks("ARTNET") && !misbehaves.contains(Misbehaviour.OFF);
    if (!speaks || ArtNet.refusePoll(packet, length, false) != null) {
      return List.of();
    }
    Set<Integer> universes =
        artnet && wiring != null ? wiring.heard().universes() : Set.<Integer>of();
    return Answers.isAsked(packet, length, universes)
        ? Answers.toPoll(address, label(), universes, polls++)
        : List.of();
  }

  private boolean speaks(String protocol) {
    return seat.model()
        .path("protocols")
        .valueStream()
        .anyMatch(one -> one.path("protocol").asString("").equals(protocol));
  }

  /** Takes a packet; answers what is to be sent back. */
  synchronized List<byte[]> ddp(byte[] packet, int length, InetSocketAddress sender) {
    boolean arrives = arrives();
    boolean query =
        Ddp.refuse(packet, length, false) == null
            && Ddp.is(packet, Ddp.QUERY)
            && !Ddp.is(packet, Ddp.REPLY);
    if (query) {
      return speaks("DDP") && !misbehaves.contains(Misbehaviour.OFF)
          ? Answers.toQuery(packet, address, label(), seat.model(), ports())
          : List.of();
    }
    if (arrives) {
      receiver.ddp(packet, length, sender, clock.millis());
    }
    return List.of();
  }

  private List<Port> ports() {
    return wiring == null ? List.of() : wiring.ports();
  }

  /** What every byte of every port shows, as base64. */
  synchronized ObjectNode state() {
    ObjectNode root = JSON.createObjectNode().put("packets", counters.packets());
    root.put("testing", shining.testing());
    shining.tell(ports(), receiver, clock.millis(), root.putArray("ports"));
    var units = root.putArray("units");
    for (Card card : cards.values()) {
      ports().stream()
          .filter(port -> port.named().equals(card.line()))
          .forEach(port -> units.add(card.shown(port.line(), receiver.levels())));
    }
    return root;
  }

  synchronized ObjectNode counters() {
    long now = clock.millis();
    ObjectNode root = JSON.createObjectNode().put("packets", counters.packets());
    root.put("quarrels", receiver == null ? 0 : receiver.quarrels(now));
    var streams = root.putArray("streams");
    counters.streams(
        (sender, protocol, universe, stream) -> {
          ObjectNode told = streams.addObject();
          told.put("sender", sender)
              .put("protocol", protocol.name())
              .put("universe", universe)
              .put("packets", stream.packets)
              .put("sequenceErrors", stream.sequenceErrors)
              .put("missing", stream.missing)
              .put("lastMillisAgo", now - stream.last);
          if (stream.slots > 0) {
            told.put("slots", stream.slots);
          }
          if (stream.priority >= 0) {
            told.put("priority", stream.priority);
          }
        });
    ObjectNode refused = root.putObject("refused");
    counters.refused().forEach(refused::put);
    return root;
  }

  synchronized long packets() {
    return counters.packets();
  }
}
