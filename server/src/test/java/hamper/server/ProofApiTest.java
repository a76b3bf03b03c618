package hamper.server;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.server.Started.Answer;
import java.time.Duration;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** A proof over the API: begun, followed, told; and what a plan with a fault shows. */
class ProofApiTest extends ApiCase {
  private JsonNode proven() throws InterruptedException {
    assertThat(server.post(path("/proof"), "").status()).isEqualTo(200);
    long until = System.nanoTime() + Duration.ofSeconds(60).toNanos();
    JsonNode run = server.get(path("/proof")).body();
    while (run.get("running").asBoolean() && System.nanoTime() < until) {
      Thread.sleep(50);
      run = server.get(path("/proof")).body();
    }
    assertThat(run.get("running").asBoolean()).isFalse();
    return run;
  }

  @Test
  void theDemoShowsWhatWasMeant() throws InterruptedException {
    assertThat(server.get(path("/proof")).status()).isEqualTo(204);
    JsonNode run = proven();
    assertThat(run.get("version").asInt()).isEqualTo(version());
    JsonNode report = run.get("report");
    assertThat(report.get("examples")).as("all wrong ones have one reason").isEmpty();
    assertThat(report.get("controllers"))
        .filteredOn(one -> !one.get("refused").asString().isEmpty())
        .singleElement()
        .satisfies(one -> refusesWhatItHasNoRoomFor(report, one));
    assertThat(report.get("controllers")).hasSize(10);
    assertThat(report.get("pixels").asInt()).isEqualTo(36_206);
    assertThat(report.at("/leftOut/0/what").asString()).isEqualTo("H1-S1");
    assertThat(report.get("controllers"))
        .allMatch(one -> one.get("standIn").asString().startsWith("127."));
  }

  /** K4-3 carries 30 pixels more than its model drives: the demo has a fault that says so. */
  private static void refusesWhatItHasNoRoomFor(JsonNode report, JsonNode one) {
    assertThat(one.get("tag").asString()).isEqualTo("K4");
    assertThat(one.get("refused").asString())
        .isEqualTo("told.outputs: PIXEL 3 has 430 pixels; it drives 400");
    assertThat(report.get("wrong").asInt()).isEqualTo(one.get("pixels").asInt());
  }

  @Test
  void withoutItsFaultTheDemoShowsWhatWasMeant() throws InterruptedException {
    Answer moved = edit("{\"type\":\"SetMode\",\"controller\":\"k4\",\"mode\":\"12 ports\"}");
    assertThat(moved.status()).as(moved.body().toString()).isEqualTo(200);
    assertThat(proven().get("report").get("wrong").asInt()).isZero();
  }

  @Test
  void whatADeviceCannotBeToldIsSeenAsWrongPixelsOnItsPort() throws InterruptedException {
    // the Five takes no groups
    Answer grouped =
        edit(
            "{\"type\":\"SetSections\",\"sections\":[{\"piece\":\"boathouse-ridge-1\",\"index\":0}],"
                + "\"set\":{\"group\":5}}");
    assertThat(grouped.status()).isEqualTo(200);
    JsonNode report = proven().get("report");
    assertThat(report.get("examples"))
        .isNotEmpty()
        .allMatch(one -> one.get("written").asString().equals("K2-1"))
        .allMatch(one -> one.get("position").asInt() >= 1);
  }

  @Test
  void aStoppedProofSaysSo() {
    server.post(path("/proof"), "");
    assertThat(server.delete(path("/proof")).status()).isEqualTo(204);
    assertThat(server.get(path("/proof")).body().get("failed").asString()).contains("stopped");
  }
}
