package hamper.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** One sender for all windows: begun, counted, stopped, and over by itself. */
class OutputApiTest extends ApiCase {
  private String wanted(String more) {
    return "{\"display\":\"%s\"%s}".formatted(display, more);
  }

  private JsonNode until(String what) throws InterruptedException {
    long end = System.nanoTime() + Duration.ofSeconds(30).toNanos();
    JsonNode now = server.get("/api/output").body();
    while (!now.has("ended") && System.nanoTime() < end) {
      Thread.sleep(20);
      now = server.get("/api/output").body();
    }
    assertThat(now.path("ended").asString("")).isEqualTo(what);
    return now;
  }

  private JsonNode light(String more) {
    var answer = server.post("/api/output", wanted(more));
    assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
    return answer.body();
  }

  @Test
  void itEndsByItselfWithEveryFrameSentOrCounted() throws InterruptedException {
    restart();
    assertThat(server.get("/api/output").status()).as("nothing was sent yet").isEqualTo(204);
    assertThat(server.get("/api/output/ground").body().get("live").asBoolean()).isFalse();
    JsonNode begun = light(",\"percent\":80,\"seconds\":2");
    assertThat(begun.get("live").asBoolean()).isFalse();
    assertThat(begun.at("/holders/0/who").asString()).isEqualTo("somebody");
    JsonNode over = until("its time was over");
    long frames = over.get("frames").asLong() + over.get("unsent").asLong();
    assertThat(frames).as("40 a second for two seconds").isBetween(79L, 82L);
    // all rises for a second, then only what keeps alive
    assertThat(over.get("packets").asLong()).isBetween(30L * 60, 80L * 90);
    assertThat(over.get("failed").asLong()).isZero();
  }

  @Test
  void eachHoldsPiecesOfItsOwnAndAnybodyStopsAll() throws InterruptedException {
    JsonNode props = server.get("/api/displays/" + display).body().get("props");
    String one = props.get(0).at("/prop/id").asString();
    String other = props.get(1).at("/prop/id").asString();
    String only = ",\"percent\":20,\"who\":\"%s\",\"only\":{\"props\":[\"%s\"]}";
    light(only.formatted("Ann", one));
    JsonNode both = light(only.formatted("Bo", other));
    assertThat(both.get("holders")).hasSize(2);
    var clash = server.post("/api/output", wanted(only.formatted("Cy", one)));
    assertThat(clash.status()).isEqualTo(409);
    assertThat(clash.body().get("who").asString()).isEqualTo("Ann");
    assertThat(server.delete("/api/output/holders?who=Ann").status()).isEqualTo(204);
    assertThat(light(only.formatted("Cy", one)).get("holders")).hasSize(2);
    assertThat(server.delete("/api/output").status()).isEqualTo(204);
    until("it was stopped");
    assertThat(server.delete("/api/output/holders?who=Bo").status()).isEqualTo(409);
    // whoever looks after the last one has left sees that it is over
    light(only.formatted("Ann", one));
    assertThat(server.delete("/api/output/holders?who=Ann").status()).isEqualTo(204);
    assertThat(server.get("/api/output").body().get("ended").asString())
        .isEqualTo("its time was over");
    light(",\"percent\":10,\"seconds\":1");
    until("its time was over");
  }

  /** Three at once; a fourth who wants one of theirs is told whose it is. */
  @Test
  void threeLightAtOnceAndAFourthIsToldWhoHoldsIt() throws InterruptedException {
    JsonNode props = whole().get("props");
    String only = ",\"percent\":20,\"who\":\"%s\",\"only\":{\"props\":[\"%s\"]}";
    String[] who = {"Ann", "Bo", "Cy"};
    for (int i = 0; i < who.length; i++) {
      light(only.formatted(who[i], props.get(i).at("/prop/id").asString()));
    }
    assertThat(server.get("/api/output").body().get("holders")).hasSize(3);
    for (int i = 0; i < who.length; i++) {
      String wanted = only.formatted("Di", props.get(i).at("/prop/id").asString());
      var clash = server.post("/api/output", wanted(wanted));
      assertThat(clash.status()).isEqualTo(409);
      assertThat(clash.body().get("who").asString()).isEqualTo(who[i]);
    }
    assertThat(server.delete("/api/output").status()).isEqualTo(204);
    until("it was stopped");
  }

  /** Devices remember who lit them a moment ago: that was Hamper itself, and no other source. */
  @Test
  void whoLitItBeforeIsNobodyElse() throws InterruptedException {
    String armed = ",\"percent\":10,\"seconds\":60,\"armed\":[\"%s\"]".formatted(circuit());
    light(",\"percent\":10,\"seconds\":60");
    assertThat(server.delete("/api/output").status()).isEqualTo(204);
    until("it was stopped");
    assertThat(light(armed).get("armed")).hasSize(1);
    assertThat(server.delete("/api/output").status()).isEqualTo(204);
  }

  /** A circuit that hangs on what is sent to. */
  private String circuit() {
    return server
        .get("/api/displays/" + display)
        .body()
        .get("props")
        .valueStream()
        .flatMap(prop -> prop.get("pieces").valueStream())
        .filter(piece -> piece.at("/piece/kind").asString("").equals("circuit"))
        .filter(piece -> piece.at("/port/controller").asString("").equals("k7"))
        .map(piece -> piece.at("/piece/id").asString())
        .findFirst()
        .orElseThrow();
  }

  @Test
  void whatCannotBeIsRefused() {
    assertThat(server.post("/api/output", wanted(",\"percent\":101")).status()).isEqualTo(422);
    assertThat(server.post("/api/output", wanted(",\"percent\":5,\"seconds\":43201")).status())
        .isEqualTo(422);
    assertThat(server.post("/api/output", "{\"display\":\"none\",\"percent\":5}").status())
        .isEqualTo(404);
    assertThat(server.post("/api/output", wanted(",\"percent\":5,\"armed\":[\"none\"]")).status())
        .isEqualTo(409);
    assertThat(server.delete("/api/output?workLight=31").status()).isEqualTo(422);
  }
}
