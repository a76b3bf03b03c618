package hamper.server.output;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hamper.facts.Facts;
import hamper.files.CatalogueFiles;
import hamper.files.DisplayFile;
import hamper.pattern.Pattern;
import hamper.send.Targets;
import hamper.server.live.LiveDisplay;
import hamper.standin.Clock;
import hamper.standin.Place;
import hamper.standin.StandIns;
import hamper.wire.E131;
import java.net.DatagramPacket;
import java.net.DatagramSocket;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.Arrays;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.atomic.AtomicLong;
import java.util.concurrent.atomic.AtomicReference;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Sending while the plan changes, while something is held, and to its end: on real stand-ins. */
class SessionTest {
  /** A string, a relay that rests on and one that rests off, on a wireless controller. */
  private static final String DISPLAY =
      """
      {"format": "hamper-display", "formatVersion": 2, "name": "Small", "props": [
        {"id": "a", "name": "A", "pieces": [{"kind": "string", "id": "a1", "name": "s",
          "pixelType": "node-12v", "sections": [{"pixels": 4}]}]},
        {"id": "r", "name": "R", "pieces": [
          {"kind": "circuit", "id": "lamp", "name": "lamp", "threshold": 100, "safeOn": true},
          {"kind": "circuit", "id": "fan", "name": "fan", "threshold": 100}]}],
       "settings": {"firstUniverse": FIRST, "framesPerSecond": 40},
       "controllers": [{"id": "k", "tag": "K1", "name": "K", "model": "quillby-wren-r",
         "settings": {"protocol": "E131", "transport": "UNICAST", "universeSize": 510, "address": "198.51.100.9"},
         "runs": [{"port": 1, "legs": [{"piece": "a1"}]},
           {"kind": "RELAY", "port": 1, "legs": [{"piece": "lamp"}]},
           {"kind": "RELAY", "port": 2, "legs": [{"piece": "fan"}]}]}]}
      """;

  private static final Output.Wanted NOTHING_MORE =
      new Output.Wanted("d", "Ann", Targets.ALL, Pattern.WHITE, 100, 30, 60, Set.of(), Set.of());

  private final AtomicReference<LiveDisplay.Look> look = new AtomicReference<>();
  private final AtomicLong clock = new AtomicLong(1_000_000);
  private final List<OutputState> told = new CopyOnWriteArrayList<>();
  private final Door door = new Door();
  private StandIns standIns;
  private Session session;
  private Place at;

  private static LiveDisplay.Look plan(int version, int firstUniverse) {
    return plan(version, firstUniverse, "198.51.100.9");
  }

  private static LiveDisplay.Look plan(int version, int firstUniverse, String address) {
    byte[] bytes =
        DISPLAY
            .replace("FIRST", Integer.toString(firstUniverse))
            .replace("198.51.100.9", address)
            .getBytes(StandardCharsets.UTF_8);
    Facts facts = Facts.of(DisplayFile.read(bytes, CatalogueFiles.shipped()));
    return new LiveDisplay.Look(facts, version, Optional.empty(), Optional.empty());
  }

  @BeforeEach
  void start() throws Exception {
    look.set(plan(1, 1));
    standIns = StandIns.start(Seats.of(look.get().facts()), Clock.system());
    at = standIns.places().get("k");
    session =
        new Session(
            "d",
            look::get,
            new StandInGround(
                (display, seats) -> standIns.places(), (display, controller) -> false),
            Source.create(),
            Set.of("127.0.0.8:999"),
            () -> Instant.ofEpochMilli(clock.get()),
            told::add);
    session.prepare(Set.of());
  }

  private void light() {
    session.light(NOTHING_MORE);
    session.start();
  }

  @AfterEach
  void stop() throws Exception {
    if (session.running()) {
      session.stop(0);
    }
    standIns.close();
  }

  private List<Integer> shown(String name) throws Exception {
    for (JsonNode one : door.get(at, "state").body().get("ports")) {
      if (one.get("port").asString().equals(name)) {
        byte[] bytes = Base64.getDecoder().decode(one.get("shown").asString());
        Integer[] levels = new Integer[bytes.length];
        Arrays.setAll(levels, i -> bytes[i] & 255);
        return List.of(levels);
      }
    }
    throw new AssertionError(name);
  }

  /** Something that comes true soon; the session's clock goes on meanwhile. */
  private interface Soon {
    boolean is() throws Exception;
  }

  private void until(String what, Soon soon) throws Exception {
    for (int i = 0; i < 1_000 && !soon.is(); i++) {
      Thread.sleep(10);
    }
    assertThat(soon.is()).as(what).isTrue();
  }

  private Map<Integer, Long> packetsByUniverse() throws Exception {
    Map<Integer, Long> packets = new TreeMap<>();
    for (JsonNode stream : door.get(at, "counters").body().get("streams")) {
      packets.merge(stream.get("universe").asInt(), stream.get("packets").asLong(), Long::sum);
      assertThat(stream.get("sequenceErrors").asLong()).isZero();
      assertThat(stream.get("missing").asLong()).as("numbers without a gap").isZero();
    }
    return packets;
  }

  @Test
  void whiteRisesUnderItsCeilingAndWhatMovesStaysSafe() throws Exception {
    light();
    until("dark at first", () -> shown("PIXEL 1").get(0) == 0);
    clock.addAndGet(600);
    until("at its ceiling", () -> shown("PIXEL 1").stream().allMatch(level -> level == 76));
    assertThat(shown("RELAY 1")).containsExactly(255);
    assertThat(shown("RELAY 2")).containsExactly(0);
    assertThat(session.state().holders().get(0).pieces()).isEqualTo(1);
    session.stop(20);
    until("work light", () -> shown("PIXEL 1").stream().allMatch(level -> level == 51));
    assertThat(shown("RELAY 1")).containsExactly(255);
    assertThat(session.state().ended()).contains("it was stopped");
    assertThat(told.get(told.size() - 1).ended()).contains("it was stopped");
    assertThat(door.get(at, "counters").body().at("/quarrels").asInt()).isZero();
  }

  @Test
  void aChangedPlanIsSentFromTheNextFrameOnAndWhatItLeavesGoesDark() throws Exception {
    light();
    clock.addAndGet(600);
    until("lit", () -> shown("PIXEL 1").get(0) == 76);
    look.set(plan(2, 7));
    until("laid out anew", () -> session.state().version() == 2);
    until("lit by other universes", () -> shown("PIXEL 1").get(0) == 76);
    assertThat(packetsByUniverse()).containsKeys(1, 7);
    session.stop(0);
    assertThat(shown("PIXEL 1")).allMatch(level -> level == 0);
    packetsByUniverse();
  }

  @Test
  void whereStandInsHaveGoneElsewhereTheLightFollowsThem() throws Exception {
    light();
    clock.addAndGet(600);
    until("lit", () -> shown("PIXEL 1").get(0) == 76);
    StandIns before = standIns;
    standIns = StandIns.start(Seats.of(look.get().facts()), Clock.system());
    before.close(); // as when others needed its room, or somebody ended them
    assertThat(standIns.places().get("k")).isNotEqualTo(at);
    at = standIns.places().get("k");
    clock.addAndGet(10_000);
    until("told what is planned", () -> !door.get(at, "state").body().get("ports").isEmpty());
    until("lit there", () -> shown("PIXEL 1").get(0) == 76);
    assertThat(session.running()).isTrue();
  }

  @Test
  void whateverAddressAChangedPlanGivesPacketsStayHere() throws Exception {
    light();
    clock.addAndGet(600);
    int version = 2;
    for (String elsewhere : List.of("8.8.8.8", "0.0.0.0", "255.255.255.255", "239.255.0.9")) {
      look.set(plan(version, version, elsewhere));
      int laid = version;
      until("laid out anew", () -> session.state().version() == laid);
      until("heard here", () -> packetsByUniverse().containsKey(laid));
      version++;
    }
    assertThat(session.state().failed()).isZero();
  }

  @Test
  void whatIsHeldMovesForASecondFromEachWordOn() throws Exception {
    session.arm(Set.of("fan"));
    light();
    byte[] on = {(byte) 255};
    assertThatThrownBy(() -> session.hold("lamp", new byte[] {0}, "Ann"))
        .isInstanceOf(NotArmedException.class)
        .hasMessageContaining("it is not armed");
    session.hold("fan", on, "Ann");
    until("it moves", () -> shown("RELAY 2").get(0) == 255);
    assertThat(session.state().moving()).containsExactly("fan");
    clock.addAndGet(999);
    session.hold("fan", on, "Ann");
    clock.addAndGet(999);
    assertThat(session.state().moving()).containsExactly("fan");
    clock.addAndGet(1);
    until("without a word it is safe", () -> shown("RELAY 2").get(0) == 0);
  }

  @Test
  void nothingIsArmedWhereAnotherSourceIsLive() throws Exception {
    byte[] packet = new byte[E131.dataSize(510)];
    E131.writeData(packet, new E131.Stream(new byte[16], "show", 1, 100, 0), 1, 0, 0, 510);
    try (DatagramSocket show = new DatagramSocket(0, InetAddress.getByName("127.0.0.9"))) {
      show.send(
          new DatagramPacket(
              packet, packet.length, new InetSocketAddress(at.address(), E131.PORT)));
      until("it is heard", () -> packetsByUniverse().containsKey(1));
      assertThatThrownBy(() -> session.arm(Set.of("fan")))
          .isInstanceOf(NotArmedException.class)
          .hasMessageContaining("127.0.0.9:" + show.getLocalPort() + " is sending to K1 too");
    }
    light();
    assertThat(session.state().armed()).isEmpty();
  }

  @Test
  void unchangedUniversesAreKeptAliveAndItEndsWhenNobodyHoldsAnything() throws Exception {
    light();
    clock.addAndGet(600);
    until("lit", () -> shown("PIXEL 1").get(0) == 76);
    long before = session.state().packets();
    long frames = session.state().frames();
    Thread.sleep(2_000);
    assertThat(session.state().frames() - frames).isGreaterThan(40);
    assertThat(session.state().packets() - before).as("at rest").isBetween(1L, 12L);
    clock.addAndGet(60_000);
    until("over", () -> !session.running());
    assertThat(session.state().ended()).contains("its time was over");
    assertThat(shown("PIXEL 1")).allMatch(level -> level == 0);
  }
}
