package hamper.server.output;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hamper.address.IpAddress;
import hamper.config.SendLine;
import hamper.display.Controller;
import hamper.facts.Facts;
import hamper.files.CatalogueFiles;
import hamper.files.DisplayFile;
import hamper.samples.RandomYards;
import hamper.send.FrameLayout;
import hamper.send.FrameLayouts;
import hamper.standin.Place;
import hamper.wire.E131;
import java.io.IOException;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Whatever a plan says, packets go to loopback addresses only. */
class RoutesTest {
  private static Map<String, Place> standIns(Map<String, FrameLayout> layouts) {
    Map<String, Place> places = new HashMap<>();
    layouts.keySet().forEach(id -> places.put(id, Place.own("127.83.0." + (places.size() + 1))));
    return places;
  }

  private static void staysHere(Facts facts) {
    Map<String, FrameLayout> layouts = FrameLayouts.of(facts);
    Routes routes = new StandInRoutes(standIns(layouts), layouts);
    assertThat(routes.announcement()).allMatch(RoutesTest::isHere);
    for (FrameLayout layout : layouts.values()) {
      for (SendLine line : layout.lines()) {
        for (int u = 0; u <= line.universes(); u++) {
          int universe = line.firstUniverse().orElse(0) + u;
          assertThat(routes.of(line, universe)).allMatch(RoutesTest::isHere);
        }
        assertThat(routes.synchronization(line.controllerId(), line.protocol(), 7))
            .allMatch(RoutesTest::isHere);
      }
    }
  }

  private static boolean isHere(Routes.Hop hop) {
    InetSocketAddress to = hop.to();
    return to.getAddress().isLoopbackAddress() && to.getAddress().getAddress()[0] == 127;
  }

  private static Facts plan(String address, String protocol, String transport, String hostName) {
    String display =
        """
        {"format": "hamper-display", "formatVersion": 2, "name": "Elsewhere", "props": [
          {"id": "a", "name": "A", "pieces": [{"kind": "string", "id": "a1", "name": "s",
            "pixelType": "node-12v", "sections": [{"pixels": 20}]}]}],
         "controllers": [{"id": "k", "tag": "K1", "name": "K", "model": "quillby-wren-r",
           "settings": {"protocol": "%s", "transport": "%s"%s},
           "sending": {"hostName": "%s"},
           "runs": [{"port": 1, "legs": [{"piece": "a1"}]}]}]}
        """
            .formatted(
                protocol,
                transport,
                address.isEmpty() ? "" : ", \"address\": \"%s\"".formatted(address),
                hostName);
    return Facts.of(
        DisplayFile.read(display.getBytes(StandardCharsets.UTF_8), CatalogueFiles.shipped()));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "8.8.8.8",
        "192.168.1.20",
        "10.0.0.1",
        "127.0.0.1",
        "0.0.0.0",
        "255.255.255.255",
        "198.51.100.255",
        "239.255.0.1",
        "169.254.1.1",
        ""
      })
  void noAddressOfAPlanIsEverSentTo(String address) {
    for (String transport : List.of("UNICAST", "MULTICAST")) {
      staysHere(plan(address, "E131", transport, ""));
    }
    staysHere(plan(address, "DDP", "UNICAST", "show-controller.example"));
  }

  @Test
  void norOfRandomDisplays() {
    for (long seed = 1; seed <= 200; seed++) {
      staysHere(Facts.of(RandomYards.of(CatalogueFiles.shipped(), seed)));
    }
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "8.8.8.8",
        "0.0.0.0",
        "255.255.255.255",
        "239.255.0.1",
        "localhost",
        "127.0.0.1.example.org",
        "127.1",
        "2130706433",
        "0177.0.0.1",
        "::1",
        "127.0.0.999",
        " 127.0.0.1",
        ""
      })
  void aStandInStandsOnALoopbackAddressInFourNumbers(String address) {
    assertThatThrownBy(() -> new StandInRoutes(Map.of("k", Place.own(address)), Map.of()))
        .isInstanceOf(IllegalArgumentException.class);
  }

  private static final MachineAdapter YARD =
      new MachineAdapter("eth7", new IpAddress("198.51.100.1"), 24, true, false);

  /** Random displays are all in this subnet. */
  private static final MachineAdapter RANDOM =
      new MachineAdapter("eth9", new IpAddress("10.0.0.254"), 24, true, false);

  private static final List<MachineAdapter> ADAPTERS =
      List.of(
          YARD,
          RANDOM,
          new MachineAdapter("lo", new IpAddress("127.0.0.1"), 8, true, true),
          new MachineAdapter("eth8", new IpAddress("203.0.113.1"), 24, false, false));

  private static LiveRoutes live(Facts facts, Optional<String> chosen) {
    Map<String, FrameLayout> layouts = FrameLayouts.of(facts);
    return new LiveRoutes(facts.plan().display(), layouts, ADAPTERS, chosen);
  }

  /** All that a plan's packets go to, live. */
  private static Set<String> liveOf(Facts facts) {
    LiveRoutes routes = live(facts, Optional.empty());
    Set<String> to = new TreeSet<>();
    for (FrameLayout layout : FrameLayouts.of(facts).values()) {
      for (SendLine line : layout.lines()) {
        for (int u = 0; u < Math.max(1, line.universes()); u++) {
          routes
              .of(line, line.firstUniverse().orElse(0) + u)
              .forEach(hop -> to.add(hop.to().getAddress().getHostAddress()));
        }
        line.synchronization()
            .ifPresent(
                address ->
                    routes
                        .synchronization(line.controllerId(), line.protocol(), address)
                        .forEach(hop -> to.add(hop.to().getAddress().getHostAddress())));
      }
    }
    return to;
  }

  @Test
  void liveOnlyAddressesOfThePlanAreSentToByAnAdapterThatReachesThem() {
    assertThat(liveOf(plan("198.51.100.9", "E131", "UNICAST", ""))).containsExactly("198.51.100.9");
    assertThat(liveOf(plan("198.51.100.9", "E131", "MULTICAST", "")))
        .containsExactly("239.255.0.1");
    for (String nowhere :
        List.of(
            "8.8.8.8",
            "127.0.0.1",
            "0.0.0.0",
            "255.255.255.255",
            "198.51.100.0",
            "198.51.100.255",
            "198.51.100.1",
            "239.255.0.1",
            "203.0.113.9")) {
      Facts facts = plan(nowhere, "E131", "UNICAST", "");
      assertThat(liveOf(facts)).as(nowhere).isEmpty();
      assertThat(live(facts, Optional.empty()).leftOut().get("k"))
          .contains("no adapter of this computer is in the subnet of " + nowhere);
    }
    Facts named = plan("", "DDP", "UNICAST", "localhost");
    assertThat(liveOf(named)).isEmpty();
    assertThat(live(named, Optional.empty()).leftOut().get("k")).contains("a name");
    assertThat(live(plan("198.51.100.9", "E131", "UNICAST", ""), Optional.of("eth8")).leftOut())
        .as("another adapter was chosen")
        .containsKey("k");
  }

  @Test
  void liveRandomDisplaysSendToTheirOwnAddressesTheirGroupsAndTheirSubnetOnly() {
    int sent = 0;
    for (long seed = 1; seed <= 200; seed++) {
      Facts facts = Facts.of(RandomYards.of(CatalogueFiles.shipped(), seed));
      Set<String> own = new TreeSet<>();
      facts
          .plan()
          .display()
          .controllers()
          .forEach(
              one -> one.address().filter(RANDOM::reaches).ifPresent(at -> own.add(at.text())));
      for (String to : liveOf(facts)) {
        sent++;
        assertThat(own.contains(to) || to.startsWith("239.255.") || to.equals("10.0.0.255"))
            .as("seed %d: %s", seed, to)
            .isTrue();
      }
    }
    assertThat(sent).isGreaterThan(200);
  }

  @Test
  void nothingButAWayThatWasDecidedCanBeMade() {
    Facts facts = plan("198.51.100.9", "E131", "UNICAST", "");
    LiveRoutes routes = live(facts, Optional.empty());
    assertThatThrownBy(
            () ->
                routes.hop(
                    Routes.numbers("198.51.100.1"), Routes.numbers("198.51.100.10"), E131.PORT))
        .hasMessageContaining("addresses of the plan only");
  }

  @Test
  void aGroupGoesToThoseWhoListenAndABroadcastToAll() {
    Facts facts = Facts.of(RandomYards.of(CatalogueFiles.shipped(), 1));
    Map<String, FrameLayout> layouts = FrameLayouts.of(facts);
    Routes routes = new StandInRoutes(standIns(layouts), layouts);
    for (FrameLayout layout : layouts.values()) {
      for (SendLine line : layout.lines()) {
        int universe = line.firstUniverse().orElse(0);
        List<Routes.Hop> to = routes.of(line, universe);
        switch (line.transport()) {
          case BROADCAST -> assertThat(to).hasSize(layouts.size());
          case UNICAST -> assertThat(to).isNotEmpty();
          case MULTICAST -> assertThat(to).isNotEmpty().hasSizeLessThanOrEqualTo(layouts.size());
        }
      }
    }
  }

  /** Configurations go by the same rule: to the plan's own addresses, and nowhere else. */
  @Test
  void doorsAreAtThePlansOwnAddresses() {
    for (long seed = 1; seed <= 60; seed++) {
      Facts facts = Facts.of(RandomYards.of(CatalogueFiles.shipped(), seed));
      LiveRoutes routes = live(facts, Optional.empty());
      for (Controller controller : facts.plan().display().controllers()) {
        Optional<String> planned = controller.address().map(IpAddress::text);
        Optional<Place> door = routes.doorOf(controller.id());
        boolean reached =
            FrameLayouts.of(facts).containsKey(controller.id())
                && !routes.leftOut().containsKey(controller.id());
        assertThat(door.map(Place::address)).isEqualTo(reached ? planned : Optional.empty());
        door.ifPresent(at -> assertThat(at.door()).isEqualTo(Place.DOOR));
      }
    }
  }

  @Test
  void aSpareIsReachedOnlyNearby() throws IOException {
    StandInGround standIns = new StandInGround((display, seats) -> Map.of(), (d, c) -> false);
    assertThat(standIns.doorAt("127.0.0.9").address()).isEqualTo("127.0.0.9");
    LiveGround live = new LiveGround(Optional.of("no such adapter"));
    for (String far : new String[] {"203.0.113.9", "8.8.8.8", "255.255.255.255", "example.org"}) {
      assertThatThrownBy(() -> standIns.doorAt(far)).isInstanceOf(IllegalArgumentException.class);
      assertThatThrownBy(() -> live.doorAt(far)).isInstanceOf(IllegalArgumentException.class);
    }
  }
}
