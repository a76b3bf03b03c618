package hamper.server.trial;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.facts.Facts;
import hamper.files.CatalogueFiles;
import hamper.files.DisplayFile;
import hamper.samples.Trial;
import hamper.server.output.Door;
import hamper.server.output.Seats;
import hamper.server.output.YardProcess;
import hamper.standin.Place;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Somebody pulls the plug of Hamper while it gives; the devices go on. After the start every state
 * is true to what the device has, or says that nobody knows, and reading back settles that.
 */
@Tag("trial")
class KilledGivingTest {
  private static final JsonMapper JSON = new JsonMapper();

  /** Longest after which it is killed: giving to slow devices takes about that long (ms). */
  private static final int LONGEST = 3_200;

  @TempDir Path folder;

  private final Random random = new Random(Trial.seed());
  private final Door door = new Door();
  private String display;
  private ServerProcess server;
  private int given;
  private int stale;
  private int unknown;

  @AfterEach
  void end() throws InterruptedException {
    if (server != null) {
      server.end();
    }
  }

  @Test
  void everyStateIsTrueAfterAKill() throws Exception {
    int kills = Trial.size(1, 50);
    server = ServerProcess.usual(folder);
    display = JSON.readTree(server.post("/api/displays/demo", "").body()).get("id").asString();
    for (int kill = 0; kill < kills; kill++) {
      change(server, 40 + kill);
      Map<String, Place> places = places(server);
      for (Place place : places.values()) {
        slow(place, random.nextInt(3) > 0);
      }
      begin(server, "ALL", false);
      if (Trial.isLong()) {
        Thread.sleep(random.nextInt(LONGEST));
      } else {
        awaitMidst(server); // few kills are not left to chance
      }
      server.kill();
      server = ServerProcess.usual(folder);
      assertThat(places(server)).as("stand-ins stay where they are").isEqualTo(places);
      compare(server, places, false);
      for (Place place : places.values()) {
        slow(place, false);
      }
      begin(server, "ALL", true);
      await(server);
      compare(server, places, true);
    }
    begin(server, "ALL", false);
    await(server);
    compare(server, places(server), true);
    Trial.say(
        "%d kills while giving: %d states given, %d stale, %d unknown until they were read back; each true",
        kills, given, stale, unknown);
    assertThat(given).isPositive();
    assertThat(unknown).as("some kills came in the midst of it").isPositive();
  }

  private void slow(Place place, boolean on) throws Exception {
    String slow = "{\"slow\":%s}".formatted(on);
    door.put(place, "misbehaviour", slow.getBytes(StandardCharsets.UTF_8));
  }

  private String path(String below) {
    return "/api/displays/" + display + below;
  }

  private void change(ServerProcess server, int pixels) throws Exception {
    List<String> sections = new ArrayList<>();
    for (String piece :
        List.of("gangway-rail-1", "boathouse-ridge-1", "tower-bands-1", "hall-roof-1")) {
      sections.add("{\"piece\":\"%s\",\"index\":0}".formatted(piece));
    }
    int version = JSON.readTree(server.get(path("")).body()).get("version").asInt();
    var answer =
        server.post(
            path("/edits"),
            "{\"version\":%d,\"edit\":{\"type\":\"SetSections\",\"sections\":[%s],\"set\":{\"pixels\":%d}}}"
                .formatted(version, String.join(",", sections), pixels));
    assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
  }

  private Map<String, Place> places(ServerProcess server) throws Exception {
    byte[] file = server.get(path("/file")).body().getBytes(StandardCharsets.UTF_8);
    Facts facts = Facts.of(DisplayFile.read(file, CatalogueFiles.shipped()));
    return new YardProcess(folder).seat(display, Seats.of(facts));
  }

  private JsonNode states(ServerProcess server) throws Exception {
    return JSON.readTree(server.get(path("/handover/now")).body()).get("controllers");
  }

  private void begin(ServerProcess server, String which, boolean readBack) throws Exception {
    List<String> ids = new ArrayList<>();
    states(server).forEach(one -> ids.add("\"" + one.get("controller").asString() + "\""));
    var begun =
        server.post(
            path("/handover/giving"),
            "{\"which\":\"%s\",\"readBack\":%s,\"back\":false,\"inShowHours\":true,\"faultsSeen\":[%s]}"
                .formatted(which, readBack, String.join(",", ids)));
    assertThat(begun.statusCode()).as(begun.body()).isEqualTo(200);
  }

  /** Waits until a device has been begun of which nobody knows yet what it has. */
  private void awaitMidst(ServerProcess server) throws Exception {
    for (int i = 0; i < 600; i++) {
      for (JsonNode one : states(server)) {
        if (one.get("state").asString().equals("UNKNOWN")) {
          return;
        }
      }
      Thread.sleep(10);
    }
    throw new AssertionError("no device is ever in the midst of it");
  }

  private void await(ServerProcess server) throws Exception {
    for (int i = 0; i < 600; i++) {
      if (!JSON.readTree(server.get(path("/handover/giving")).body()).get("running").asBoolean()) {
        return;
      }
      Thread.sleep(50);
    }
    throw new AssertionError("reading back does not end");
  }

  /**
   * @param readBack whether every device was just asked, so that nothing is unknown
   */
  private void compare(ServerProcess server, Map<String, Place> places, boolean readBack)
      throws Exception {
    Map<String, String> seen = new TreeMap<>();
    for (JsonNode one : states(server)) {
      String id = one.get("controller").asString();
      String state = one.get("state").asString();
      JsonNode planned =
          JSON.readTree(server.get(path("/configurations/" + id)).body()).get("told");
      Door.Answer has = door.get(places.get(id), "configuration");
      boolean hasIt = has.status() == 200 && planned.equals(has.body().get("told"));
      seen.put(one.get("tag").asString(), state + " " + hasIt);
      switch (state) {
        case "GIVEN" -> assertThat(hasIt).as("%s of %s", seen, id).isTrue();
        case "STALE", "NEVER" -> assertThat(hasIt).as("%s of %s", seen, id).isFalse();
        case "UNKNOWN" -> assertThat(readBack).as("%s of %s", seen, id).isFalse();
        case "DIFFERENT" -> assertThat(hasIt).as("%s of %s", seen, id).isFalse();
        default -> assertThat(state).isEqualTo("REFUSED");
      }
      given += state.equals("GIVEN") ? 1 : 0;
      stale += state.equals("STALE") ? 1 : 0;
      unknown += state.equals("UNKNOWN") ? 1 : 0;
    }
  }
}
