package hamper.server.output;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hamper.config.SendLine;
import hamper.facts.Facts;
import hamper.files.CatalogueFiles;
import hamper.files.DisplayFile;
import hamper.samples.RandomYards;
import hamper.send.FrameLayout;
import hamper.send.FrameLayouts;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Whatever a plan says, packets go to loopback addresses only. */
class RoutesTest {
  private static Map<String, String> standIns(Map<String, FrameLayout> layouts) {
    Map<String, String> addresses = new HashMap<>();
    layouts.keySet().forEach(id -> addresses.put(id, "127.83.0." + (addresses.size() + 1)));
    return addresses;
  }

  private static void staysHere(Facts facts) {
    Map<String, FrameLayout> layouts = FrameLayouts.of(facts);
    Routes routes = new Routes(standIns(layouts), layouts);
    for (FrameLayout layout : layouts.values()) {
      for (SendLine line : layout.lines()) {
        for (int u = 0; u <= line.universes(); u++) {
          int universe = line.firstUniverse().orElse(0) + u;
          assertThat(routes.of(line, universe)).allMatch(RoutesTest::isHere);
        }
        assertThat(routes.everybody(line.protocol())).allMatch(RoutesTest::isHere);
      }
    }
  }

  private static boolean isHere(InetSocketAddress to) {
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
    assertThatThrownBy(() -> Routes.loopback(address))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("127.0.0.0/8");
  }

  @Test
  void aGroupGoesToThoseWhoListenAndABroadcastToAll() {
    Facts facts = Facts.of(RandomYards.of(CatalogueFiles.shipped(), 1));
    Map<String, FrameLayout> layouts = FrameLayouts.of(facts);
    Routes routes = new Routes(standIns(layouts), layouts);
    for (FrameLayout layout : layouts.values()) {
      for (SendLine line : layout.lines()) {
        int universe = line.firstUniverse().orElse(0);
        List<InetSocketAddress> to = routes.of(line, universe);
        switch (line.transport()) {
          case BROADCAST -> assertThat(to).hasSize(layouts.size());
          case UNICAST -> assertThat(to).isNotEmpty();
          case MULTICAST -> assertThat(to).isNotEmpty().hasSizeLessThanOrEqualTo(layouts.size());
        }
      }
    }
  }
}
