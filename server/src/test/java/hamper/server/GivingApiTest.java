package hamper.server;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.server.live.Displays;
import hamper.server.output.Door;
import hamper.server.output.Ground;
import hamper.server.output.Seats;
import hamper.standin.Clock;
import hamper.standin.Place;
import hamper.standin.Seat;
import hamper.standin.StandIns;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Devices are handed what is planned, and what is known of each is true. */
class GivingApiTest extends ApiCase {
  private static final String GIVE =
      "{\"which\":\"%s\",\"readBack\":%s,\"back\":false,\"inShowHours\":true%s}";

  private final Door door = new Door();

  private JsonNode give(String which, String more) throws InterruptedException {
    return run(GIVE.formatted(which, false, more));
  }

  private JsonNode readBack(String which, String more) throws InterruptedException {
    return run(GIVE.formatted(which, true, more));
  }

  private JsonNode run(String request) throws InterruptedException {
    var begun = server.post(path("/handover/giving"), request);
    assertThat(begun.status()).as(begun.text()).isEqualTo(200);
    long end = System.nanoTime() + Duration.ofSeconds(60).toNanos();
    JsonNode now = server.get(path("/handover/giving")).body();
    while (now.get("running").asBoolean() && System.nanoTime() < end) {
      Thread.sleep(20);
      now = server.get(path("/handover/giving")).body();
    }
    assertThat(now.get("running").asBoolean()).isFalse();
    assertThat(now.path("failed").asString("")).isEmpty();
    return now;
  }

  /** How far each came, by tag. */
  private static Map<String, String> steps(JsonNode run) {
    Map<String, String> steps = new LinkedHashMap<>();
    run.get("steps")
        .forEach(step -> steps.put(step.get("tag").asString(), step.get("progress").asString()));
    return steps;
  }

  private JsonNode now(String tag) {
    for (JsonNode one : server.get(path("/handover/now")).body().get("controllers")) {
      if (one.get("tag").asString().equals(tag)) {
        return one;
      }
    }
    throw new IllegalArgumentException(tag);
  }

  private String state(String tag) {
    return now(tag).get("state").asString();
  }

  private String idOf(String tag) {
    return now(tag).get("controller").asString();
  }

  private Place place(String tag) throws Exception {
    var facts = server.part(Displays.class).get(display).look().facts();
    return server.part(Ground.class).doors(display, facts).at().get(idOf(tag));
  }

  private void misbehave(String tag, String what) throws Exception {
    var answer = door.put(place(tag), "misbehaviour", what.getBytes(StandardCharsets.UTF_8));
    assertThat(answer.status()).isEqualTo(200);
  }

  /** So many findings of a check that name a controller. */
  private long findings(String code) {
    return server
        .get(path("/handover/now"))
        .body()
        .get("findings")
        .valueStream()
        .filter(one -> one.get("code").asString().equals(code))
        .count();
  }

  private static String faultsOf(String... ids) {
    return ",\"faultsSeen\":[\"%s\"]".formatted(String.join("\",\"", ids));
  }

  @Test
  void eachDeviceEndsInAStateOfItsOwnAndTheOthersGoOn() throws Exception {
    assertThat(state("K1")).isEqualTo("NEVER");
    assertThat(findings("never-given")).as("the season has not begun").isZero();

    // the plan has faults at K4 and K2: they are looked at first
    Map<String, String> first = steps(give("ALL", ""));
    assertThat(first).containsValue("HAS_FAULTS").containsValue("GIVEN");
    String withFaults =
        first.entrySet().stream()
            .filter(one -> one.getValue().equals("HAS_FAULTS"))
            .map(one -> idOf(one.getKey()))
            .reduce((a, b) -> a + "\",\"" + b)
            .orElseThrow();
    assertThat(findings("never-given")).isPositive();
    Map<String, String> second = steps(give("STALE", faultsOf(withFaults)));
    assertThat(second.get("K4")).as("430 pixels on a port of 400").isEqualTo("REFUSED");
    assertThat(findings("device-refused")).isEqualTo(1);
    assertThat(state("K4")).isEqualTo("REFUSED");
    assertThat(state("K1")).isEqualTo("GIVEN");

    // nothing is sent where nothing changed
    long packets = factsOf("K1");
    assertThat(steps(give("ALL", faultsOf(withFaults))).get("K1")).isEqualTo("UNCHANGED");
    assertThat(factsOf("K1")).isEqualTo(packets);
  }

  private JsonNode firstLeg(String tag) {
    for (JsonNode one : whole().get("controllers")) {
      if (one.at("/controller/tag").asString().equals(tag)) {
        return one.at("/lanes/0/legs/0");
      }
    }
    throw new IllegalArgumentException(tag);
  }

  private int factsOf(String tag) {
    return server.get(path("/handover/controllers/" + idOf(tag))).body().get("history").size();
  }

  @Test
  void whatHappensToDevicesIsSaidAsThat() throws Exception {
    String only = ",\"controllers\":[\"%s\"]".formatted(idOf("K1"));
    String seen = only + faultsOf(idOf("K1"));
    misbehave("K1", "{\"other-model\":true}");
    JsonNode refused = give("CHOSEN", seen);
    assertThat(steps(refused)).containsEntry("K1", "REFUSED");
    assertThat(refused.at("/steps/0/why").asString()).contains("stranger");
    misbehave("K1", "{\"other-model\":false}");

    misbehave("K1", "{\"vanishes\":true}");
    assertThat(steps(give("CHOSEN", seen))).containsEntry("K1", "LOST");
    assertThat(state("K1")).isEqualTo("UNKNOWN");
    assertThat(steps(give("CHOSEN", seen))).as("without power").containsEntry("K1", "AWAY");
    assertThat(state("K1")).as("nothing more is known").isEqualTo("UNKNOWN");
    misbehave("K1", "{\"vanishes\":false,\"off\":false}");
    assertThat(steps(readBack("CHOSEN", only))).containsEntry("K1", "UNCHANGED");
    assertThat(state("K1")).as("it had taken it").isEqualTo("GIVEN");

    misbehave("K1", "{\"other-unit\":true}");
    JsonNode other = give("CHOSEN", seen);
    assertThat(steps(other)).containsEntry("K1", "OTHER_UNIT");
    assertThat(state("K1")).isEqualTo("GIVEN");
    String replaced = ",\"replaced\":[\"%s\"]".formatted(idOf("K1"));
    assertThat(steps(give("CHOSEN", seen + replaced))).containsEntry("K1", "GIVEN");
    assertThat(now("K1").get("serial").asString()).endsWith("-B");

    misbehave("K1", "{\"forgets\":true}");
    door.post(place("K1"), "restart");
    assertThat(steps(readBack("CHOSEN", only))).containsEntry("K1", "DIFFERENT");
    assertThat(now("K1").get("why").asString()).contains("no configuration");
    misbehave("K1", "{\"forgets\":false,\"keeps-nothing\":true}");
    assertThat(steps(give("CHOSEN", seen))).containsEntry("K1", "NOT_KEPT");
    assertThat(state("K1")).isEqualTo("NOT_KEPT");
    misbehave("K1", "{\"keeps-nothing\":false}");
    assertThat(steps(give("CHOSEN", seen))).containsEntry("K1", "UNCHANGED");
    assertThat(state("K1")).as("it keeps it now").isEqualTo("GIVEN");
  }

  @Test
  void aChangeMakesStaleInWordsAndGivingAgainEndsIt() throws Exception {
    String seen = ",\"controllers\":[\"%1$s\"],\"faultsSeen\":[\"%1$s\"]".formatted(idOf("K1"));
    give("CHOSEN", seen);
    JsonNode leg = firstLeg("K1");
    String piece = leg.get("piece").asString();
    int pixels = leg.at("/sections/0/pixels").asInt();
    assertThat(
            edit("{\"type\":\"SetSections\",\"sections\":[{\"piece\":\"%s\",\"index\":0}],\"set\":{\"pixels\":%d}}"
                    .formatted(piece, pixels + 5))
                .text())
        .contains("version");
    assertThat(state("K1")).isEqualTo("STALE");
    assertThat(now("K1").get("differs").toString())
        .contains("Port 1: %d → %d pixels".formatted(pixels, pixels + 5));
    assertThat(findings("stale")).isEqualTo(1);
    undo();
    assertThat(state("K1")).as("it is as it was given").isEqualTo("GIVEN");
  }

  @Test
  void byHandItCountsWhenAllIsReadBack() {
    String at = path("/handover/controllers/" + idOf("K1"));
    JsonNode sheet = server.get(at).body().get("sheet");
    StringBuilder shown = new StringBuilder();
    String last = "";
    for (JsonNode page : sheet.get("pages")) {
      for (JsonNode row : page.get("rows")) {
        for (JsonNode cell : row.get("cells")) {
          last = cell.get("key").asString();
          shown
              .append(shown.isEmpty() ? "" : ",")
              .append("\"%s\":\" %s \"".formatted(last, cell.get("value").asString()));
        }
      }
    }
    String wrong =
        shown.toString().replaceFirst("(\"" + last + "\"):\" [^\"]*\"", "$1:\"nonsense\"");
    var differs = server.post(at + "/by-hand", "{\"shown\":{%s}}".formatted(wrong)).body();
    assertThat(differs.get("given").asBoolean()).isFalse();
    assertThat(differs.at("/differs/0/key").asString()).isEqualTo(last);
    assertThat(state("K1")).isEqualTo("NEVER");
    assertThat(server.put(at + "/typed", "{\"cells\":{\"%s\":\"x\"}}".formatted(last)).status())
        .isEqualTo(204);
    assertThat(server.get(at).body().get("typed")).hasSize(1);
    assertThat(server.put(at + "/typed", "{\"cells\":{\"%s\":null}}".formatted(last)).status())
        .isEqualTo(204);
    assertThat(server.get(at).body().get("typed")).isEmpty();
    var all = server.post(at + "/by-hand", "{\"shown\":{%s}}".formatted(shown)).body();
    assertThat(all.get("given").asBoolean()).as(all.toString()).isTrue();
    assertThat(state("K1")).isEqualTo("GIVEN");
    assertThat(now("K1").get("means").asString()).isEqualTo("HAND");
    restart();
    assertThat(state("K1")).as("facts are kept").isEqualTo("GIVEN");
  }

  @Test
  void listsAreHandedOverAndSayWhatMovedSince() {
    JsonNode lists = server.get(path("/handover")).body().get("lists");
    String source = lists.get(0).get("source").asString();
    assertThat(server.post(path("/handover/lists/" + source), "").status()).isEqualTo(204);
    assertThat(server.post(path("/handover/lists/show"), "").status()).isEqualTo(204);
    assertThat(server.post(path("/handover/lists/nobody"), "").status()).isEqualTo(404);
    JsonNode leg = firstLeg("K1");
    edit(
        "{\"type\":\"SetSections\",\"sections\":[{\"piece\":\"%s\",\"index\":0}],\"set\":{\"pixels\":3}}"
            .formatted(leg.get("piece").asString()));
    JsonNode after = server.get(path("/handover")).body().get("lists");
    JsonNode show = after.get(after.size() - 1);
    assertThat(show.get("version").asInt()).isEqualTo(version() - 1);
    assertThat(show.get("differs")).isNotEmpty();
  }

  @Test
  void whatADeviceHasIsSeenBesideThePlanAndTakenOver() throws Exception {
    String at = path("/handover/controllers/" + idOf("K1"));
    var nothing = server.get(at + "/device");
    assertThat(nothing.status()).isEqualTo(409);
    assertThat(nothing.body().get("detail").asString()).contains("no configuration");
    String seen = ",\"controllers\":[\"%1$s\"],\"faultsSeen\":[\"%1$s\"]".formatted(idOf("K1"));
    give("CHOSEN", seen);
    // the plan moves on: a string goes, another is shorter; the device still has both
    String first = firstLeg("K1").get("piece").asString();
    edit("{\"type\":\"UnpatchPieces\",\"pieces\":[\"%s\"]}".formatted(first));
    edit(
        "{\"type\":\"SetSections\",\"sections\":[{\"piece\":\"gangway-rail-1\",\"index\":0}],\"set\":{\"pixels\":60}}");
    JsonNode parts = server.get(at + "/device").body().get("parts");
    StringBuilder keys = new StringBuilder();
    int unplanned = 0;
    for (JsonNode part : parts) {
      unplanned += part.get("planned").asBoolean() ? 0 : 1;
      keys.append(keys.isEmpty() ? "" : ",")
          .append('"')
          .append(part.get("key").asString())
          .append('"');
    }
    assertThat(unplanned).isEqualTo(1);
    assertThat(parts.toString()).contains("185 → 210 pixels");
    var taken =
        server.post(at + "/taking", "{\"version\":%d,\"keys\":[%s]}".formatted(version(), keys));
    assertThat(taken.status()).as(taken.text()).isEqualTo(200);
    assertThat(state("K1")).as("the plan tells it what it has").isEqualTo("GIVEN");
    assertThat(whole().get("props").toString()).contains("K1 port 1");
    for (JsonNode part : server.get(at + "/device").body().get("parts")) {
      assertThat(part.get("lines")).isEmpty();
    }
    undo();
    assertThat(state("K1")).isEqualTo("STALE");
  }

  @Test
  void aSpareIsReachedAtTheAddressThatItsMakerGaveIt() throws Exception {
    var facts = server.part(Displays.class).get(display).look().facts();
    Seat seat =
        Seats.of(facts).stream().filter(one -> one.controller().equals("k2")).findFirst().get();
    try (StandIns box = StandIns.start(List.of(seat), Clock.system())) {
      String at = box.places().get("k2").address();
      String more =
          ",\"controllers\":[\"k2\"],\"faultsSeen\":[\"k2\"],\"replaced\":[\"k2\"],\"at\":\"%s\"";
      assertThat(steps(give("CHOSEN", more.formatted(at)))).containsEntry("K2", "GIVEN");
      assertThat(door.get(box.places().get("k2"), "configuration").status()).isEqualTo(200);
      assertThat(door.get(place("K2"), "configuration").status())
          .as("the one at the planned address was not asked")
          .isEqualTo(404);
      var far =
          server.post(
              path("/handover/giving"),
              GIVE.formatted("CHOSEN", false, more.formatted("203.0.113.9")));
      assertThat(far.status()).isEqualTo(200);
      for (int i = 0;
          i < 200 && server.get(path("/handover/giving")).body().get("running").asBoolean();
          i++) {
        Thread.sleep(20);
      }
      assertThat(server.get(path("/handover/giving")).body().path("failed").asString(""))
          .contains("127.0.0.0/8");
    }
  }
}
