package hamper.server.yard;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.config.SendLine;
import hamper.config.SendList;
import hamper.facts.Facts;
import hamper.files.CatalogueFiles;
import hamper.files.DisplayFile;
import hamper.samples.hosts.HostProcess;
import hamper.samples.hosts.TwoHosts;
import hamper.server.JavaProgram;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Base64;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.junit.jupiter.api.Assumptions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Hamper live on one host, devices on the plan's own addresses on another: real unicast, groups and
 * broadcast, captured on the cable and read by a dissector that is not ours.
 */
class LiveTest {
  private static final JsonMapper JSON = new JsonMapper();

  /** 30 % of full, the ceiling. */
  private static final int LIT = 76;

  private static final String STRING =
      """
      {"id": "%1$s", "name": "%1$s", "pieces": [{"kind": "string", "id": "%1$s1", "name": "s",
        "pixelType": "node-12v", "sections": [{"pixels": %2$d}]}]}""";

  private static final String CONTROLLER =
      """
      {"id": "%1$s", "tag": "%2$s", "name": "%2$s", "model": "%3$s", "sending": {%4$s},
       "settings": {"brightness": 100, %5$s}, "runs": [%6$s]}""";

  @TempDir Path folder;

  private static String run(int number, String piece) {
    return "{\"port\": %d, \"legs\": [{\"piece\": \"%s1\"}]}".formatted(number, piece);
  }

  private static String settings(String protocol, String transport, int last) {
    return "\"protocol\": \"%s\", \"transport\": \"%s\", \"address\": \"198.51.100.%d\""
        .formatted(protocol, transport, last);
  }

  /** Every protocol and transport; on the first more universes than one socket joins groups. */
  private static String display() {
    List<String> props = new ArrayList<>();
    List<String> many = new ArrayList<>();
    for (int i = 1; i <= 8; i++) {
      props.add(STRING.formatted("m" + i, 700));
      many.add(run(i, "m" + i));
    }
    for (String one : List.of("a", "b", "c")) {
      props.add(STRING.formatted(one, 300));
    }
    props.add(STRING.formatted("w", 500));
    props.add(
        "{\"id\": \"f\", \"name\": \"f\", \"pieces\": [{\"kind\": \"decoder\", \"id\": \"f1\","
            + " \"name\": \"d\", \"slot\": 5, \"pixels\": 8, \"ledsPerPixel\": 6}]}");
    String line = "{\"kind\": \"DMX\", \"port\": 1, \"legs\": [{\"piece\": \"f1\"}]}";
    String sync = "\"synchronization\": 900";
    List<String> controllers =
        List.of(
            CONTROLLER.formatted(
                "k1",
                "K1",
                "ostrand-twelve",
                sync,
                settings("E131", "MULTICAST", 11),
                String.join(", ", many)),
            CONTROLLER.formatted(
                "k2", "K2", "ostrand-twelve", sync, settings("ARTNET", "UNICAST", 12), run(1, "a")),
            CONTROLLER.formatted(
                "k3", "K3", "ostrand-five", "", settings("ARTNET", "BROADCAST", 13), run(1, "b")),
            CONTROLLER.formatted(
                "k4", "K4", "quillby-wren", "", settings("DDP", "UNICAST", 14), run(1, "w")),
            CONTROLLER.formatted(
                "k5",
                "K5",
                "tarn-hythe-dmx-bridge",
                "",
                settings("E131", "UNICAST", 15) + ", \"universeSize\": 512",
                line),
            CONTROLLER.formatted(
                "k6", "K6", "ostrand-five", "", settings("E131", "UNICAST", 16), run(1, "c")));
    return """
        {"format": "hamper-display", "formatVersion": 2, "name": "Yard", "props": [%s],
         "subnets": [{"id": "show", "name": "Show", "network": "198.51.100.0", "prefix": 24}],
         "controllers": [%s]}
        """
        .formatted(String.join(",\n", props), String.join(",\n", controllers));
  }

  private static List<String> addresses(Facts facts) {
    return facts.plan().display().controllers().stream()
        .map(one -> one.address().orElseThrow().text())
        .toList();
  }

  @Test
  void livePacketsGoToThePlansOwnAddressesAndTheRightPixelLights() throws Exception {
    Path file = Files.writeString(folder.resolve("yard.hamper.json"), display());
    Facts facts =
        Facts.of(
            DisplayFile.read(display().getBytes(StandardCharsets.UTF_8), CatalogueFiles.shipped()));
    try (TwoHosts hosts = joined(facts)) {
      Path capture = folder.resolve("cable.pcapng");
      try (HostProcess listener =
              hosts.inYard(
                  List.of("dumpcap", "-i", hosts.yardAdapter(), "-w", capture.toString()));
          HostProcess yard = hosts.inYard(JavaProgram.of(YardMain.class, file.toString()))) {
        listener.await("File:");
        yard.await("ready");
        JsonNode lit = lightAll(hosts, file, yard);
        look(facts, lit);
        Thread.sleep(300);
        listener.end();
        read(facts, Seen.all(capture));
      }
    }
  }

  private static TwoHosts joined(Facts facts) {
    try {
      return TwoHosts.joined(addresses(facts));
    } catch (IOException e) {
      return Assumptions.abort("Live output was not tried, namespaces cannot be made: " + e);
    }
  }

  private JsonNode lightAll(TwoHosts hosts, Path file, HostProcess yard) throws Exception {
    try (HostProcess desk =
        hosts.onDesk(
            JavaProgram.of(
                DeskMain.class,
                file.toString(),
                folder.resolve("data").toString(),
                hosts.deskAdapter()))) {
      assertThat(desk.await("ground")).contains("\"live\":true");
      given(JSON.readTree(desk.await("gave")));
      assertThat(desk.await("polled"))
          .as("who speaks Art-Net: K1, K5 and K6 are told E1.31, and say so without universes")
          .isEqualTo(
              "[198.51.100.11#1, 198.51.100.12#1, 198.51.100.13#1, 198.51.100.15#1,"
                  + " 198.51.100.16#1]");
      JsonNode output = JSON.readTree(desk.await("output"));
      assertThat(output.get("live").asBoolean()).isTrue();
      assertThat(output.get("leftOut")).isEmpty();
      assertThat(output.get("failed").asInt()).isZero();
      yard.tell("");
      JsonNode lit = JSON.readTree(yard.await("devices"));
      desk.tell("");
      assertThat(desk.await("stopped")).contains("it was stopped");
      assertThat(levelsAtTheEnd(yard)).as("dark at the end").containsExactly(0);
      return lit;
    }
  }

  /** What devices show once all that is on the cable has arrived: within two seconds. */
  private static Set<Integer> levelsAtTheEnd(HostProcess yard) throws Exception {
    Set<Integer> levels = Set.of();
    for (int i = 0; i < 20 && !levels.equals(Set.of(0)); i++) {
      Thread.sleep(100);
      yard.tell("");
      levels = levels(JSON.readTree(yard.await("devices")));
    }
    return levels;
  }

  /** All devices of the plan took what they were told, over the cable, and have it. */
  private static void given(JsonNode run) {
    assertThat(run.get("steps")).hasSize(6);
    for (JsonNode step : run.get("steps")) {
      assertThat(step.get("progress").asString()).as(step.toString()).isEqualTo("GIVEN");
    }
  }

  /** Levels that any byte of any port shows. */
  private static Set<Integer> levels(JsonNode devices) {
    Set<Integer> levels = new TreeSet<>();
    for (JsonNode device : devices) {
      for (JsonNode one : device.at("/state/ports")) {
        for (byte level : Base64.getDecoder().decode(one.get("shown").asString())) {
          levels.add(level & 255);
        }
      }
    }
    return levels;
  }

  private static void look(Facts facts, JsonNode lit) {
    assertThat(levels(lit)).as("every byte of every pixel").containsExactly(LIT);
    facts
        .plan()
        .display()
        .controllers()
        .forEach(
            one -> {
              assertThat(lit.at("/" + one.id() + "/configuration/format").asString())
                  .as(one.tag())
                  .isEqualTo("hamper-configuration");
              JsonNode counters = lit.at("/" + one.id() + "/counters");
              assertThat(counters.get("streams")).as(one.tag()).isNotEmpty();
              for (JsonNode stream : counters.get("streams")) {
                assertThat(stream.get("sequenceErrors").asInt()).as(one.tag()).isZero();
                assertThat(stream.get("missing").asInt()).as(one.tag()).isZero();
              }
            });
    assertThat(lit.at("/k5/state/units/0/shown").asString())
        .as("a strip decoder on its line")
        .isEqualTo(Base64.getEncoder().encodeToString(filled(8 * 4)));
  }

  private static byte[] filled(int count) {
    byte[] bytes = new byte[count];
    Arrays.fill(bytes, (byte) LIT);
    return bytes;
  }

  /** What is planned to go to an address on a universe; DDP has universe 0. */
  private static Map<String, SendLine> planned(Facts facts) {
    Map<String, SendLine> planned = new HashMap<>();
    for (SendLine line : SendList.of(facts.plan(), facts.resolution())) {
      for (int i = 0; i < Math.max(1, line.universes()); i++) {
        int universe = line.firstUniverse().map(first -> first).orElse(0) + i;
        String to =
            switch (line.transport()) {
              case UNICAST -> line.destination();
              case BROADCAST -> "198.51.100.255";
              case MULTICAST -> "239.255.%d.%d".formatted(universe / 256, universe % 256);
            };
        planned.put("%s %s %d".formatted(line.protocol(), to, universe), line);
      }
    }
    return planned;
  }

  private final Map<String, Integer> kinds = new TreeMap<>();
  private final Map<String, Integer> lastSequence = new HashMap<>();
  private final Set<String> doors = new TreeSet<>();
  private final Set<String> met = new TreeSet<>();

  private void read(Facts facts, List<Seen> all) {
    Map<String, SendLine> planned = planned(facts);
    for (Seen seen : all) {
      if (!seen.has("udp.payload")) {
        beside(seen);
        continue;
      }
      assertThat(seen.has("_ws.malformed")).as(seen.toString()).isFalse();
      if (seen.text("ip.src").equals(TwoHosts.DESK)) {
        sent(seen, planned);
      } else {
        reply(seen);
      }
    }
    System.out.println("[live] on the cable: " + kinds);
    assertThat(doors).as("addresses asked by TCP").isEqualTo(Set.copyOf(addresses(facts)));
    assertThat(kinds)
        .containsKeys(
            "E1.31 data (dissector)",
            "ArtDmx (dissector)",
            "ArtSync (dissector)",
            "ArtPoll (dissector)",
            "ArtPollReply (dissector)",
            "E1.31 synchronization (second decoder)",
            "E1.31 discovery (second decoder)",
            "DDP (second decoder)",
            "IGMP");
    assertThat(met).as("every universe that is planned").isEqualTo(planned.keySet());
  }

  /** What is no UDP: giving, and what the network itself says. */
  private void beside(Seen seen) {
    switch (seen.text("ip.proto")) {
      case "2" -> kinds.merge("IGMP", 1, Integer::sum);
      case "6" -> {
        kinds.merge("Giving (TCP)", 1, Integer::sum);
        doors.add(
            seen.text("ip.src").equals(TwoHosts.DESK) ? seen.text("ip.dst") : seen.text("ip.src"));
      }
      default -> kinds.merge("ARP and the like", 1, Integer::sum);
    }
  }

  private void sent(Seen seen, Map<String, SendLine> planned) {
    int udp = seen.number("udp.dstport");
    if (seen.text("ip.dst").startsWith("239.")) {
      assertThat(seen.number("ip.ttl")).isEqualTo(1);
    }
    switch (udp) {
      case 5568 -> e131(seen, planned);
      case 6454 -> artNet(seen, planned);
      case 4048 -> ddp(seen, planned);
      default -> throw new AssertionError("Who is that for? " + seen);
    }
  }

  private void e131(Seen seen, Map<String, SendLine> planned) {
    Object read = SecondDecoder.read(seen.payload(), 5568);
    if (read instanceof SecondDecoder.Sync sync) {
      kinds.merge("E1.31 synchronization (second decoder)", 1, Integer::sum);
      assertThat(sync.address()).isEqualTo(900);
      assertThat(seen.text("ip.dst")).isEqualTo("239.255.3.132");
      inOrder("sync", sync.sequence(), 256, 0);
    } else if (read instanceof SecondDecoder.Discovery discovery) {
      kinds.merge("E1.31 discovery (second decoder)", 1, Integer::sum);
      assertThat(seen.text("ip.dst")).isEqualTo("239.255.250.214");
      assertThat(discovery.name()).isEqualTo("Hamper");
      assertThat(discovery.universes()).isSorted().hasSizeGreaterThan(30);
    } else {
      SecondDecoder.Data data = (SecondDecoder.Data) read;
      kinds.merge("E1.31 data (dissector)", 1, Integer::sum);
      String key = "E131 %s %d".formatted(seen.text("ip.dst"), seen.number("acn.dmx.universe"));
      SendLine line = planned.get(key);
      assertThat(line).as(key).isNotNull();
      met.add(key);
      assertThat(seen.number("acn.preamble_size")).isEqualTo(16);
      assertThat(seen.number("acn.postamble_size")).isZero();
      assertThat(seen.text("acn.cid")).isEqualTo(data.cid().toString());
      assertThat(seen.number("acn.dmx_vector")).isEqualTo(2);
      assertThat(seen.text("acn.dmx.source_name")).isEqualTo("Hamper");
      assertThat(seen.number("acn.dmx.priority")).isEqualTo(line.priority().orElseThrow());
      assertThat(seen.number("acn.dmx.seq_number")).isEqualTo(data.sequence());
      assertThat(seen.number("acn.dmx.options")).isIn(0, 0x40);
      assertThat(seen.number("acn.dmx.first_property_address")).isZero();
      assertThat(seen.number("acn.dmx.increment")).isEqualTo(1);
      assertThat(seen.number("acn.dmx.count")).isEqualTo(1 + data.levels().length);
      assertThat(data.levels()).hasSize(line.size());
      assertThat(seen.number("acn.dmx.start_code2")).isZero();
      assertThat(data.flags()).contains("sync " + line.synchronization().orElse(0));
      inOrder(key, data.sequence(), 256, 0);
    }
  }

  private void inOrder(String stream, int sequence, int round, int least) {
    Integer last = lastSequence.put(stream, sequence);
    if (last != null) {
      int next = last == round - 1 ? least : last + 1;
      assertThat(sequence).as(stream).isEqualTo(next);
    }
  }

  private void artNet(Seen seen, Map<String, SendLine> planned) {
    assertThat(seen.text("artnet.header.id")).isEqualTo("Art-Net");
    assertThat(seen.number("artnet.header.protver")).isEqualTo(14);
    assertThat(seen.number("udp.srcport")).as("both sides have one port").isEqualTo(6454);
    switch (seen.number("artnet.header.opcode")) {
      case 0x5000 -> {
        kinds.merge("ArtDmx (dissector)", 1, Integer::sum);
        String key =
            "ARTNET %s %d".formatted(seen.text("ip.dst"), seen.number("artnet.output.universe"));
        SendLine line = planned.get(key);
        assertThat(line).as(key).isNotNull();
        met.add(key);
        assertThat(seen.number("artnet.output.physical")).isZero();
        assertThat(seen.number("artnet.output.length")).isEqualTo(line.size() + line.size() % 2);
        inOrder(key, seen.number("artnet.output.sequence"), 256, 1);
      }
      case 0x5200 -> {
        kinds.merge("ArtSync (dissector)", 1, Integer::sum);
        assertThat(seen.text("ip.dst")).isEqualTo("198.51.100.255");
      }
      case 0x2000 -> {
        kinds.merge("ArtPoll (dissector)", 1, Integer::sum);
        assertThat(seen.text("ip.dst")).isEqualTo("198.51.100.255");
      }
      default -> throw new AssertionError(seen.toString());
    }
  }

  private void ddp(Seen seen, Map<String, SendLine> planned) {
    SecondDecoder.Data data = (SecondDecoder.Data) SecondDecoder.read(seen.payload(), 4048);
    kinds.merge("DDP (second decoder)", 1, Integer::sum);
    String key = "DDP %s 0".formatted(seen.text("ip.dst"));
    SendLine line = planned.get(key);
    assertThat(line).as(key).isNotNull();
    met.add(key);
    // 1,500 bytes: the second packet has the rest, and the push
    boolean first = data.levels().length == 1440;
    assertThat(data.levels().length).isIn(1440, line.size() - 1440);
    assertThat(data.flags())
        .isEqualTo(
            "flags %s type 0b id 1 offset %s".formatted(first ? "40" : "41", first ? 0 : 1440));
    inOrder(key, data.sequence(), 16, 1);
  }

  private void reply(Seen seen) {
    if (seen.has("artnet.poll_reply.ip_address")) {
      kinds.merge("ArtPollReply (dissector)", 1, Integer::sum);
      assertThat(seen.text("ip.dst")).isEqualTo(TwoHosts.DESK);
      assertThat(seen.text("artnet.poll_reply.ip_address")).isEqualTo(seen.text("ip.src"));
      assertThat(seen.number("artnet.poll_reply.port_nr")).isEqualTo(6454);
      assertThat(seen.text("artnet.poll_reply.short_name")).isNotEmpty();
      assertThat(seen.number("artnet.poll_reply.bind_index")).isEqualTo(1);
      int outputs = seen.text("ip.src").matches(".*\\.1[23]") ? 2 : 0;
      assertThat(seen.number("artnet.poll_reply.num_ports")).as(seen.toString()).isEqualTo(outputs);
    } else {
      assertThat(seen.text("ip.dst")).as(seen.toString()).startsWith("224.0.0.");
    }
  }
}
