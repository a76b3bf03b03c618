package hamper.standin;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** A stand-in's door: what is taken, kept, lost and refused. docs/formats/giving.md. */
class GivingDoorTest {
  private static final String DOCUMENT =
      """
      {"format": "hamper-configuration", "formatVersion": 2, "fingerprint": "sha256:x", "about": {},
       "told": {"model": "sample", "protocol": "E131", "inputs": [{"universe": 1, "count": 1, "size": 510}],
        "outputs": [{"kind": "PIXEL", "port": 1, "label": "1", "used": true, "pixels": 2, "pixelType": "WS2811",
          "channelsPerPixel": 3, "options": {}, "start": {"universe": 1, "channel": 1},
          "sections": [{"pixels": 2}]}]}}
      """;

  private final HttpClient client = HttpClient.newHttpClient();
  private StandIns standIns;
  private String base;

  @BeforeEach
  void start() throws Exception {
    JsonNode model =
        Device.JSON.readTree("{\"id\": \"sample\", \"maker\": \"Quillby\", \"name\": \"Sample\"}");
    standIns = StandIns.start(List.of(new Seat("k1", model)), Clock.system());
    base = "http://%s:%d/".formatted(standIns.addresses().get("k1"), StandIns.DOOR);
  }

  @AfterEach
  void stop() {
    standIns.close();
  }

  private HttpResponse<String> ask(String method, String path, byte[] body) throws Exception {
    HttpRequest request =
        HttpRequest.newBuilder(URI.create(base + path))
            .method(method, BodyPublishers.ofByteArray(body))
            .build();
    return client.send(request, BodyHandlers.ofString());
  }

  private HttpResponse<String> put(String document) throws Exception {
    return ask("PUT", "configuration", document.getBytes(StandardCharsets.UTF_8));
  }

  private HttpResponse<String> ask(String method, String path) throws Exception {
    return ask(method, path, new byte[0]);
  }

  @Test
  void whatWasTakenIsReadBackAndLostOnARestartUnlessItWasKept() throws Exception {
    assertThat(ask("GET", "configuration").statusCode()).isEqualTo(404);
    assertThat(ask("POST", "keep").statusCode()).isEqualTo(409);
    assertThat(put(DOCUMENT).body()).isEqualTo("{\"fingerprint\":\"sha256:x\"}");
    assertThat(Device.JSON.readTree(ask("GET", "configuration").body()))
        .isEqualTo(Device.JSON.readTree(DOCUMENT));
    assertThat(ask("GET", "state").body())
        .contains("\"port\":\"PIXEL 1\",\"width\":3,\"shown\":\"AAAAAAAA\"");
    ask("POST", "restart");
    assertThat(ask("GET", "configuration").statusCode()).isEqualTo(404);
    put(DOCUMENT);
    assertThat(ask("POST", "keep").statusCode()).isEqualTo(200);
    ask("POST", "restart");
    assertThat(ask("GET", "configuration").statusCode()).isEqualTo(200);
  }

  @Test
  void aSlowDeviceTakesItsTime() throws Exception {
    long begin = System.nanoTime();
    assertThat(
            ask("PUT", "misbehaviour", "{\"slow\": true}".getBytes(StandardCharsets.UTF_8)).body())
        .contains("\"slow\":true,\"drops\":false");
    ask("GET", "identity");
    assertThat(System.nanoTime() - begin).isGreaterThan(400_000_000L);
    assertThat(
            ask("PUT", "misbehaviour", "{\"sulks\": true}".getBytes(StandardCharsets.UTF_8))
                .statusCode())
        .isEqualTo(422);
  }

  @Test
  void whatIsNotForItIsRefusedWithItsReasonAndWhatItHadStays() throws Exception {
    put(DOCUMENT);
    assertThat(put(DOCUMENT.replace("\"sample\"", "\"other\"")).body())
        .contains("told.model is \\\"other\\\"; this is a sample");
    assertThat(put(DOCUMENT.replace("Version\": 2", "Version\": 9")).statusCode()).isEqualTo(422);
    assertThat(put("[1, 2").body()).contains("It is no JSON");
    assertThat(put(DOCUMENT.replace("\"inputs\"", "\"ears\"")).statusCode()).isEqualTo(422);
    assertThat(ask("PUT", "configuration", new byte[GivingDoor.MOST_BYTES + 1]).statusCode())
        .isEqualTo(413);
    assertThat(ask("GET", "../etc/passwd").statusCode()).isEqualTo(404);
    assertThat(Device.JSON.readTree(ask("GET", "configuration").body()))
        .isEqualTo(Device.JSON.readTree(DOCUMENT));
  }

  @Test
  @Tag("trial")
  void hostileRequestsAreRefusedAndTheDoorStaysOpen() throws Exception {
    int requests = Boolean.getBoolean("hamper.trial.long") ? 5_000 : 500;
    Random random = new Random(20261126);
    byte[] sound = DOCUMENT.getBytes(StandardCharsets.UTF_8);
    for (int i = 0; i < requests; i++) {
      byte[] body = sound.clone();
      for (int k = random.nextInt(6); k >= 0; k--) {
        body[random.nextInt(body.length)] = (byte) random.nextInt(256);
      }
      String method = List.of("PUT", "POST", "GET", "DELETE").get(random.nextInt(4));
      String path = List.of("configuration", "keep", "state", "x%2e%2e", "").get(random.nextInt(5));
      assertThat(ask(method, path, body).statusCode()).isIn(200, 404, 409, 413, 422);
    }
    assertThat(ask("GET", "identity").body()).contains("\"model\":\"sample\"");
  }
}
