package hamper.server.yard;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.address.IpAddress;
import hamper.facts.Facts;
import hamper.files.CatalogueFiles;
import hamper.files.DisplayFile;
import hamper.samples.PlayedAir;
import hamper.samples.hosts.HostProcess;
import hamper.samples.hosts.TwoHosts;
import hamper.server.JavaProgram;
import hamper.server.cli.Hamper;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Predicate;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Assumptions;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Two hosts and a cable: whoever is on the other one is found, and what differs is said as what it
 * is, live and from a capture of the same cable.
 */
class LookLiveTest {
  private static final JsonMapper JSON = new JsonMapper();
  private static final Path DEMO =
      Path.of("src/main/resources/hamper/demo/saltmarsh-quay.hamper.json");
  private static final List<String> DESKS = List.of(TwoHosts.DESK, "203.0.113.1");
  private static final int ON_THE_LINE = 40;

  /** Where a device is that should be elsewhere, and one that nobody planned. */
  private static final String MOVED = "198.51.100.44";

  private static final String STRANGER = "198.51.100.77";

  @TempDir static Path data;

  /** The cable, and Hamper on the desk's side of it, for all that look at a yard. */
  private static TwoHosts hosts;

  private static HostProcess desk;

  @TempDir Path folder;

  @BeforeAll
  static void join() throws Exception {
    List<String> addresses =
        new ArrayList<>(
            Facts.of(DisplayFile.read(Files.readAllBytes(DEMO), CatalogueFiles.shipped()))
                .plan()
                .display()
                .controllers()
                .stream()
                .flatMap(one -> one.address().stream())
                .map(IpAddress::text)
                .toList());
    addresses.addAll(List.of(PlayedAir.NOBODY, MOVED, STRANGER));
    try {
      hosts = TwoHosts.joined(DESKS, addresses);
    } catch (IOException e) {
      Assumptions.abort("The network was not looked at, namespaces cannot be made: " + e);
    }
  }

  @AfterAll
  static void part() {
    if (desk != null) {
      desk.close();
    }
    if (hosts != null) {
      hosts.close();
    }
  }

  /** Asks Hamper, which starts with the first question. */
  private static JsonNode ask(String word) throws Exception {
    if (desk == null) {
      desk =
          hosts.onDesk(
              JavaProgram.of(
                  LookMain.class,
                  DEMO.toAbsolutePath().toString(),
                  data.toString(),
                  hosts.deskAdapter()));
      desk.await("ready");
    }
    desk.tell(word);
    String answer = desk.await("answer");
    return answer.isEmpty() ? JSON.missingNode() : JSON.readTree(answer);
  }

  private static JsonNode until(String path, Predicate<JsonNode> is) throws Exception {
    JsonNode now = ask("GET " + path);
    for (int i = 0; i < 150 && !is.test(now); i++) {
      Thread.sleep(200);
      now = ask("GET " + path);
    }
    assertThat(is.test(now)).as("%s: %s", path, now).isTrue();
    return now;
  }

  private static boolean isOver(JsonNode run) {
    return run.has("running") && !run.get("running").asBoolean();
  }

  private static Map<String, String> states(JsonNode run) {
    Map<String, String> states = new TreeMap<>();
    for (JsonNode one : run.get("present")) {
      states.put(
          one.path("controller").asString(one.path("at").asString()), one.get("state").asString());
    }
    return states;
  }

  /** The demo's devices, but for one of each way in which one may differ. */
  private Path otherYard() throws IOException {
    ObjectNode root = (ObjectNode) JSON.readTree(Files.readString(DEMO));
    ArrayNode controllers = (ArrayNode) root.get("controllers");
    for (int i = controllers.size() - 1; i >= 0; i--) {
      ObjectNode one = (ObjectNode) controllers.get(i);
      ObjectNode settings = (ObjectNode) one.get("settings");
      switch (one.get("id").asString()) {
        case "k2" -> controllers.remove(i);
        case "k3" -> one.put("model", "quillby-wren-r");
        case "k6" -> one.put("name", "Old shed");
        case "k1" -> settings.put("address", MOVED);
        default -> {
          // as planned
        }
      }
    }
    ObjectNode stranger = controllers.addObject();
    stranger.put("id", "k77").put("tag", "K77").put("name", "A guest");
    stranger.put("model", "ostrand-five");
    stranger.putObject("settings").put("protocol", "ARTNET").put("address", STRANGER);
    return Files.writeString(folder.resolve("other.hamper.json"), root.toString());
  }

  @Test
  @Tag("whole")
  void whatDiffersIsSaidAsThat() throws Exception {
    Path other = otherYard();
    try (HostProcess yard =
        hosts.inYard(JavaProgram.of(YardMain.class, other.toString(), "told"))) {
      yard.await("ready");
      ask("POST who {}");
      JsonNode run = until("who", LookLiveTest::isOver);
      assertThat(states(run))
          .as("%s", run)
          .containsEntry("k2", "MISSING")
          .containsEntry("k3", "OTHER_MODEL")
          .containsEntry("k6", "OTHER_NAME")
          .containsEntry("k1", "OTHER_ADDRESS")
          .containsEntry(STRANGER, "UNKNOWN")
          .containsEntry("k4", "AS_PLANNED")
          .containsEntry("k9", "AS_PLANNED")
          .hasSize(11);
    }
  }

  private static List<String> findings(JsonNode report) {
    return report
        .get("findings")
        .valueStream()
        .map(one -> one.get("kind").asString() + " " + one.get("firstUniverse").asInt())
        .sorted()
        .toList();
  }

  /** Each thing that goes wrong on the cable, as it has to be said. */
  private static void said(JsonNode report) {
    said(report, List.of("UNICAST"));
  }

  /**
   * @param unheardWays transports of what cannot be heard
   */
  private static void said(JsonNode report, List<String> unheardWays) {
    assertThat(findings(report))
        .as("%s", report.get("findings"))
        .containsExactly(
            "NOT_HEARD 4",
            "NOT_PLANNED 900",
            "OTHER_SIZE 5",
            "SECOND_OF_EQUAL_PRIORITY 1",
            "SECOND_OF_HIGHER_PRIORITY 3",
            "SECOND_OF_LOWER_PRIORITY 2");
    List<String> unheard =
        report
            .get("lines")
            .valueStream()
            .filter(one -> one.get("state").asString().equals("CANNOT_BE_HEARD"))
            .map(one -> one.at("/planned/transport").asString())
            .distinct()
            .toList();
    assertThat(unheard).as("what goes to one does not pass here").isEqualTo(unheardWays);
  }

  @Test
  void whatGoesWrongOnTheCableIsSaidLiveAndFromACapture() throws Exception {
    Path capture = folder.resolve("cable.pcapng");
    Path live = folder.resolve("live.json");
    String demo = DEMO.toAbsolutePath().toString();
    try (HostProcess air = hosts.inYard(JavaProgram.of(AirMain.class, demo, hosts.yardAdapter()))) {
      air.await("sending");
      try (HostProcess dump =
              hosts.onDesk(
                  List.of("dumpcap", "-i", hosts.deskAdapter(), "-w", capture.toString()));
          HostProcess listen = hosts.onDesk(listening(demo, live))) {
        dump.await("File:");
        assertThat(listen.await("ended with")).as("plan and cable differ").isEqualTo("1");
        said(JSON.readTree(Files.readString(live)));
        dump.end();
      }
      air.tell("");
    }
    Path json = folder.resolve("said.json");
    Process read =
        new ProcessBuilder(
                JavaProgram.of(
                    Hamper.class,
                    "listen",
                    demo,
                    "--capture",
                    capture.toString(),
                    "--format",
                    "json"))
            .redirectOutput(json.toFile())
            .start();
    assertThat(read.waitFor()).as("plan and cable differ").isEqualTo(1);
    said(JSON.readTree(Files.readString(json, StandardCharsets.UTF_8)));
  }

  @Test
  @Tag("whole")
  void whoeverIsThereIsFoundAndAskedWhatPassesElsewhere() throws Exception {
    String demo = DEMO.toAbsolutePath().toString();
    try (HostProcess yard = hosts.inYard(JavaProgram.of(YardMain.class, demo, "told"))) {
      yard.await("ready");
      ask("POST who {}");
      JsonNode run = until("who", LookLiveTest::isOver);
      assertThat(run.get("live").asBoolean()).isTrue();
      assertThat(states(run)).as("%s", run).hasSize(10);
      assertThat(states(run).values()).containsOnly("AS_PLANNED");
      try (HostProcess air =
          hosts.inYard(JavaProgram.of(AirMain.class, demo, hosts.yardAdapter()))) {
        air.await("sending");
        whatPassesIsHeard();
        air.tell("");
      }
    }
  }

  private static void whatPassesIsHeard() throws Exception {
    ask("POST listening {}");
    JsonNode heard = until("listening", now -> of(now, "k2").equals(List.of("COUNTED")));
    assertThat(of(heard, "k3")).as("DDP").containsExactly("COUNTED");
    assertThat(of(heard, "k5")).as("by broadcast").containsExactly("HEARD");
    assertThat(of(heard, "k1")).as("by groups; one is missing").contains("HEARD", "NOT_HEARD");
    JsonNode later =
        until(
            "listening",
            now -> now.get("windowMillis").asLong() > 4_000 && now.get("sources").size() > 0);
    said(later.get("report"), List.of());
  }

  /** In which states the lines of a controller are. */
  private static List<String> of(JsonNode heard, String controller) {
    return heard
        .at("/report/lines")
        .valueStream()
        .filter(line -> line.at("/planned/controllers/0").asString("").equals(controller))
        .map(line -> line.get("state").asString())
        .distinct()
        .sorted()
        .toList();
  }

  /** Listens for five seconds; what it says goes to a file. */
  private static List<String> listening(String display, Path to) {
    List<String> command =
        JavaProgram.of(Hamper.class, "listen", display, "--seconds", "5", "--format", "json");
    return List.of("bash", "-c", String.join(" ", command) + " > " + to + "; echo ended with $?");
  }

  private Path fixtures() throws IOException {
    ObjectNode root = JSON.createObjectNode();
    ArrayNode fixtures = root.putArray("fixtures");
    for (int i = 0; i < ON_THE_LINE; i++) {
      fixtures
          .addObject()
          .put("uid", "4854:%08X".formatted(i * 7919 + 3))
          .put("maker", "Any maker")
          .put("model", "Flood")
          // the last two stand on top of one another
          .put("slot", i == ON_THE_LINE - 1 ? (i - 1) * 12 + 5 : i * 12 + 1)
          .put("footprint", 12)
          .put("personality", 2)
          .put("personalities", 3);
    }
    return Files.writeString(folder.resolve("fixtures.json"), root.toString());
  }

  @Test
  @Tag("whole")
  void fortyFixturesOfALineAreFoundAndOneIsSetToAnotherSlot() throws Exception {
    Path capture = folder.resolve("rdm.pcapng");
    String line = "lines/k5/DMX/1";
    try (HostProcess dump =
            hosts.onDesk(List.of("dumpcap", "-i", hosts.deskAdapter(), "-w", capture.toString()));
        HostProcess yard =
            hosts.inYard(
                JavaProgram.of(
                    YardMain.class,
                    DEMO.toAbsolutePath().toString(),
                    "told",
                    fixtures().toString()))) {
      yard.await("ready");
      dump.await("File:");
      ask("POST " + line + " {\"anew\":true}");
      JsonNode run = until(line, LookLiveTest::isOver);
      List<JsonNode> found =
          run.get("entries").valueStream().filter(one -> one.has("device")).toList();
      assertThat(found).as("%s", run).hasSize(ON_THE_LINE);
      List<String> overlapping =
          found.stream()
              .filter(one -> one.get("state").asString().equals("OVERLAPS"))
              .map(one -> one.at("/device/id").asString())
              .toList();
      assertThat(overlapping).hasSize(2);
      String last = "4854:%08X".formatted((ON_THE_LINE - 1) * 7919 + 3);
      assertThat(overlapping).contains(last);
      String wanted = "{\"uid\":\"%s\",\"slot\":%d}".formatted(last, 39 * 12 + 1);
      JsonNode preview = ask("POST %s/slot/preview %s".formatted(line, wanted));
      assertThat(preview.valueStream().map(one -> one.get("state").asString()))
          .doesNotContain("OVERLAPS");
      ask("PUT %s/slot %s".formatted(line, wanted));
      ask("POST " + line + " {\"anew\":false}");
      JsonNode again = until(line, LookLiveTest::isOver);
      assertThat(again.get("entries").valueStream())
          .filteredOn(one -> one.at("/device/id").asString().equals(last))
          .allSatisfy(one -> assertThat(one.at("/device/place").asInt()).isEqualTo(39 * 12 + 1));
      Thread.sleep(300);
      dump.end();
    }
    dissected(capture);
  }

  /** Debian's dissector reads every packet of the exchange, and names what is in it. */
  private static void dissected(Path capture) throws Exception {
    Process process =
        new ProcessBuilder(
                "tshark",
                "-r",
                capture.toString(),
                "-Y",
                "artnet",
                "-T",
                "fields",
                "-E",
                "separator=|",
                "-e",
                "artnet.header.opcode",
                "-e",
                "rdm.pid",
                "-e",
                "_ws.malformed",
                "-e",
                "_ws.expert.severity")
            .redirectError(ProcessBuilder.Redirect.DISCARD)
            .start();
    List<String> lines =
        new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8)
            .lines()
            .toList();
    Map<Integer, Integer> opcodes = new TreeMap<>();
    for (String line : lines) {
      String[] fields = line.split("\\|", -1);
      opcodes.merge(Integer.decode(fields[0]), 1, Integer::sum);
      assertThat(fields[2]).as(line).isEmpty();
    }
    assertThat(opcodes.get(0x8200)).as("ArtTodControl").isPositive();
    assertThat(opcodes.get(0x8100)).as("ArtTodData").isPositive();
    assertThat(opcodes.get(0x8300))
        .as("ArtRdm: four questions a fixture with their answers, twice, and one order")
        .isGreaterThan(2 * 2 * 4 * ON_THE_LINE);
    System.out.println("[trial] tshark reads the exchange: " + opcodes);
  }
}
