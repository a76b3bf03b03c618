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

  @Test
  void itEndsByItselfWithEveryFrameSentOrCounted() throws InterruptedException {
    assertThat(server.get("/api/output").status()).isEqualTo(204);
    var begun = server.post("/api/output", wanted(",\"percent\":80,\"seconds\":2"));
    assertThat(begun.status()).isEqualTo(200);
    assertThat(begun.body().get("percent").asInt()).as("under the ceiling").isEqualTo(30);
    assertThat(begun.body().get("live").asBoolean()).isFalse();
    JsonNode over = until("its time was over");
    long frames = over.get("frames").asLong() + over.get("unsent").asLong();
    assertThat(frames).as("40 a second for two seconds").isEqualTo(80);
    assertThat(over.get("packets").asLong()).isGreaterThan(80L * 60);
  }

  @Test
  void oneSenderAtATimeAndAnybodyStopsIt() throws InterruptedException {
    assertThat(server.post("/api/output", wanted(",\"percent\":20")).status()).isEqualTo(200);
    var second = server.post("/api/output", wanted(",\"percent\":10"));
    assertThat(second.status()).isEqualTo(409);
    assertThat(second.body().get("detail").asString()).contains("is being lit; stop it first");
    assertThat(server.delete("/api/output").status()).isEqualTo(204);
    until("it was stopped");
    assertThat(server.post("/api/output", wanted(",\"percent\":10,\"seconds\":1")).status())
        .isEqualTo(200);
    until("its time was over");
  }

  @Test
  void whatCannotBeIsRefused() {
    assertThat(server.post("/api/output", wanted(",\"percent\":101")).status()).isEqualTo(422);
    assertThat(server.post("/api/output", wanted(",\"percent\":5,\"seconds\":1801")).status())
        .isEqualTo(422);
    assertThat(server.post("/api/output", "{\"display\":\"none\",\"percent\":5}").status())
        .isEqualTo(404);
  }
}
