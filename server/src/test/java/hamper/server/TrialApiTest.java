package hamper.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Base64;
import java.util.function.Predicate;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Meant beside shown, for every pixel, while something is lit and stand-ins misbehave. */
class TrialApiTest extends ApiCase {
  private String trial() {
    return "/api/displays/" + display + "/trial";
  }

  private JsonNode until(String what, Predicate<JsonNode> is) throws InterruptedException {
    JsonNode look = server.get(trial()).body();
    for (int i = 0; i < 100 && !is.test(look); i++) {
      Thread.sleep(100);
      look = server.get(trial()).body();
    }
    assertThat(is.test(look)).as(what + " in " + look.get("differing")).isTrue();
    return look;
  }

  private static JsonNode controller(JsonNode look, String id) {
    return look.get("controllers")
        .valueStream()
        .filter(one -> one.get("controller").asString().equals(id))
        .findFirst()
        .orElseThrow();
  }

  private static JsonNode port(JsonNode look, String controller, String kind, int port) {
    return controller(look, controller)
        .get("ports")
        .valueStream()
        .filter(one -> one.at("/port/kind").asString().equals(kind))
        .filter(one -> one.at("/port/port").asInt() == port)
        .findFirst()
        .orElseThrow();
  }

  private static byte[] bytes(JsonNode port, String which) {
    return Base64.getDecoder().decode(port.get(which).asString());
  }

  private static boolean isLit(JsonNode look) {
    return firstLevel(look, "shown") > 0;
  }

  private static int differing(JsonNode look, String id) {
    return controller(look, id)
        .get("ports")
        .valueStream()
        .mapToInt(port -> port.get("differing").asInt())
        .sum();
  }

  /** Green of the first pixel of K1-1 as the eye sees it. */
  private static int firstLevel(JsonNode look, String which) {
    byte[] port = bytes(port(look, "k1", "PIXEL", 1), which);
    for (int i = 0; i + 2 < port.length; i += 3) {
      if (port[i + 1] != 0) {
        return port[i + 1] & 255;
      }
    }
    return 0;
  }

  private void light(String more) {
    var answer =
        server.post(
            "/api/output", "{\"display\":\"%s\",\"percent\":30%s}".formatted(display, more));
    assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
  }

  private void misbehave(String what, boolean on) {
    assertThat(
            server
                .put(
                    trial() + "/misbehaviour",
                    "{\"controller\":\"k1\",\"misbehaviour\":\"%s\",\"on\":%s}".formatted(what, on))
                .status())
        .isEqualTo(204);
  }

  @Test
  void whatIsMeantIsShownAndWhatMisbehavesIsSeen() throws InterruptedException {
    JsonNode dark = server.get(trial()).body();
    assertThat(dark.get("lit").asBoolean()).isFalse();
    assertThat(dark.get("live").asBoolean()).isFalse();
    light(",\"pattern\":{\"kind\":\"ENDS\"}");
    JsonNode lit = until("green at the plug", TrialApiTest::isLit);
    lit =
        until(
            "as meant, and at rest",
            look ->
                differing(look, "k1") == 0
                    && isLit(look)
                    && firstLevel(look, "meant") == firstLevel(look, "shown"));
    until("K4 did not take what it is told", look -> differing(look, "k4") > 0);
    assertThat(controller(lit, "k8").get("sent").asBoolean()).as("plays by itself").isFalse();
    assertThat(differing(lit, "k8")).isZero();
    JsonNode k1 = controller(lit, "k1");
    assertThat(k1.get("packets").asLong()).isPositive();
    assertThat(k1.get("streams").valueStream()).anyMatch(one -> one.get("own").asBoolean());
    assertThat(k1.get("misbehaves")).isEmpty();

    misbehave("colour-order", true);
    JsonNode wrong = until("its colours are wrong", look -> differing(look, "k1") > 0);
    assertThat(controller(wrong, "k1").get("misbehaves").get(0).asString())
        .isEqualTo("colour-order");
    assertThat(port(wrong, "k1", "PIXEL", 1).get("differing").asInt())
        .as("first and second of three colours at least")
        .isBetween(1, 3 * 4);
    misbehave("colour-order", false);
    until("right again", look -> differing(look, "k1") == 0);

    misbehave("off", true);
    JsonNode off = until("it is away", look -> controller(look, "k1").has("away"));
    assertThat(controller(off, "k1").get("away").asString()).isEqualTo("no power");
    misbehave("off", false);
    assertThat(server.delete("/api/output").status()).isEqualTo(204);
  }

  @Test
  void oneAddressAloneLightsOneByte() throws InterruptedException {
    JsonNode spot = server.get(path("/locate?controller=k1&port=1&pixel=9")).body().get(0);
    String address = spot.at("/channels/0/address").asString();
    String[] slot = address.split(":");
    light(",\"only\":{\"slots\":[{\"universe\":%s,\"channel\":%s}]}".formatted(slot[0], slot[1]));
    JsonNode look =
        until("one byte is lit", now -> count(bytes(port(now, "k1", "PIXEL", 1), "shown")) == 1);
    assertThat(differing(look, "k1")).isZero();
    assertThat(server.delete("/api/output").status()).isEqualTo(204);
  }

  private static int count(byte[] levels) {
    int count = 0;
    for (byte level : levels) {
      count += level == 0 ? 0 : 1;
    }
    return count;
  }

  @Test
  void itsOwnTestIsSwitchedAndWhatIsNotKnownIsRefused() throws InterruptedException {
    light(",\"pattern\":{\"kind\":\"ENDS\"}");
    until("green at the plug", TrialApiTest::isLit);
    String test = "{\"controller\":\"k1\",\"on\":%s}";
    assertThat(server.put(trial() + "/test", test.formatted(true)).status()).isEqualTo(204);
    JsonNode look =
        until("it tests itself", now -> controller(now, "k1").get("testing").asBoolean());
    assertThat(firstLevel(look, "shown")).as("full, whatever is sent").isEqualTo(255);
    assertThat(server.put(trial() + "/test", test.formatted(false)).status()).isEqualTo(204);
    assertThat(
            server
                .put(
                    trial() + "/misbehaviour",
                    "{\"controller\":\"k1\",\"misbehaviour\":\"none\",\"on\":true}")
                .status())
        .isEqualTo(422);
    assertThat(server.get(trial() + "/misbehaviours").body()).hasSizeGreaterThan(20);
    assertThat(server.get("/api/output/patterns").body()).hasSizeGreaterThan(10);
  }

  private JsonNode marks() {
    return server.get(trial() + "/marks").body();
  }

  /** A person's word, taken off by whatever changes what a string is told or where it hangs. */
  @Test
  void seenRightIsAPersonsWordAndAChangeTakesItOff() {
    String piece =
        whole()
            .get("props")
            .valueStream()
            .flatMap(prop -> prop.get("pieces").valueStream())
            .filter(one -> one.at("/piece/kind").asString("").equals("string") && one.has("port"))
            .map(one -> one.at("/piece/id").asString())
            .findFirst()
            .orElseThrow();
    String mark = "{\"pieces\":[\"%s\"],\"seen\":%s}";
    assertThat(server.put(trial() + "/marks", mark.formatted(piece, true)).status())
        .as("nobody said who")
        .isEqualTo(422);
    assertThat(server.putAs("Ann", trial() + "/marks", mark.formatted(piece, true)).status())
        .isEqualTo(200);
    assertThat(server.putAs("Ann", trial() + "/marks", mark.formatted("none", true)).status())
        .isEqualTo(422);
    JsonNode seen = marks();
    assertThat(seen.get("strings").asInt()).isGreaterThan(40);
    assertThat(seen.at("/seen/0/by").asString()).isEqualTo("Ann");
    assertThat(seen.get("seen")).hasSize(1);

    String turn = "{\"type\":\"TurnSections\",\"sections\":[{\"piece\":\"%s\",\"index\":0}]}";
    assertThat(edit(turn.formatted(piece)).status()).isEqualTo(200);
    assertThat(marks().get("seen")).as("it is told something else").isEmpty();
    assertThat(undo().status()).isEqualTo(200);
    assertThat(marks().get("seen")).as("as it was seen").hasSize(1);
    restart();
    assertThat(marks().get("seen")).hasSize(1);
    assertThat(server.put(trial() + "/marks", mark.formatted(piece, false)).status())
        .isEqualTo(200);
    assertThat(marks().get("seen")).isEmpty();
  }

  @Test
  void aCheckOfAllIsKeptBesideTheDisplay() throws InterruptedException {
    assertThat(marks().has("checked")).isFalse();
    server.post(path("/proof"), "");
    for (int i = 0; i < 600 && !marks().has("checked"); i++) {
      Thread.sleep(100);
    }
    restart();
    JsonNode checked = marks().get("checked");
    assertThat(checked.get("version").asInt()).isEqualTo(version());
    assertThat(checked.get("pixels").asLong()).isGreaterThan(10_000);
    assertThat(checked.get("refused").asInt()).as("K4").isEqualTo(1);
  }
}
