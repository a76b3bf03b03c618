package hamper.standin;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.wire.E131;
import java.net.DatagramPacket;
import java.net.DatagramSocket;
import java.net.InetSocketAddress;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Random;
import java.util.regex.Pattern;
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
       "told": {"model": "sample", "protocol": "E131", "transport": "UNICAST", "inputs": [{"universe": 1, "count": 1, "size": 510}],
        "outputs": [{"kind": "PIXEL", "port": 1, "label": "1", "used": true, "pixels": 2, "pixelType": "WS2811",
          "channelsPerPixel": 3, "options": {}, "start": {"universe": 1, "channel": 1},
          "sections": [{"pixels": 2}]}]}}
      """;

  private static final String MODEL =
      """
      {"id": "sample", "maker": "Quillby", "name": "Sample", "atStart": "SAFE", "lostSource": "HOLD",
       "protocols": [{"protocol": "E131", "transports": ["UNICAST"], "mostUniverses": 4, "universeSizes": [510]},
         {"protocol": "DDP", "transports": ["UNICAST"]}],
       "options": {"GROUP": "PER_SECTION", "BRIGHTNESS": "PER_PORT"},
       "ports": [{"kind": "PIXEL", "modes": [{"name": "2 ports", "ports": 2, "pixelLimits": [{"channels": 3, "pixels": 100}]}]},
         {"kind": "DMX", "modes": [{"name": "1 line", "ports": 1}]},
         {"kind": "RELAY", "modes": [{"name": "2 relays", "ports": 2}]}]}
      """;

  private final HttpClient client = HttpClient.newHttpClient();
  private StandIns standIns;
  private String base;

  @BeforeEach
  void start() throws Exception {
    JsonNode model = Device.JSON.readTree(MODEL);
    standIns = StandIns.start(List.of(new Seat("k1", model)), Clock.system());
    base = "http://%s:%d/".formatted(standIns.places().get("k1").address(), Place.DOOR);
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
  void whatItsModelCannotDoIsRefusedWithItsPlace() throws Exception {
    refused("\"E131\", ", "\"ARTNET\", ", "told.protocol: it does not know \"ARTNET\"");
    refused("UNICAST", "MULTICAST", "told.transport: it takes no MULTICAST on E131");
    refused("\"size\": 510", "\"size\": 512", "told.inputs: it knows no universes of 512");
    refused("\"count\": 1", "\"count\": 5", "told.inputs: 5 universes; it takes 4");
    refused("\"port\": 1", "\"port\": 3", "told.outputs: there is no PIXEL 3");
    refused("\"pixels\": 2,", "\"pixels\": 101,", "PIXEL 1 has 101 pixels; it drives 100");
    refused(
        "[{\"pixels\": 2}]", "[{\"pixels\": 2, \"fold\": 1}]", "fold cannot be told it section");
    refused(
        "\"options\": {}", "\"options\": {\"group\": 2}", "group cannot be told it port by port");
    assertThat(put(DOCUMENT).statusCode()).isEqualTo(200);
  }

  private void refused(String right, String wrong, String why) throws Exception {
    assertThat(DOCUMENT).contains(right);
    HttpResponse<String> answer = put(DOCUMENT.replaceFirst(Pattern.quote(right), wrong));
    assertThat(answer.statusCode()).isEqualTo(422);
    assertThat(Device.JSON.readTree(answer.body()).get("refused").asString()).contains(why);
  }

  private static byte[] bytes(String text) {
    return text.getBytes(StandardCharsets.UTF_8);
  }

  @Test
  void itsOwnTestIgnoresWhatItWasToldAndAPageOfABrowserHasNoBusinessHere() throws Exception {
    put(DOCUMENT);
    assertThat(ask("PUT", "test", bytes("{\"on\": true}")).statusCode()).isEqualTo(200);
    assertThat(ask("GET", "state").body()).contains("\"shown\":\"////////\"");
    assertThat(ask("PUT", "test", bytes("{\"on\": false}")).statusCode()).isEqualTo(200);
    assertThat(ask("GET", "state").body()).contains("\"shown\":\"AAAAAAAA\"");
    assertThat(ask("PUT", "test", bytes("{}")).statusCode()).isEqualTo(422);
    HttpRequest page =
        HttpRequest.newBuilder(URI.create(base + "identity"))
            .header("Origin", "http://elsewhere.example")
            .build();
    assertThat(client.send(page, BodyHandlers.ofString()).statusCode()).isEqualTo(403);
  }

  @Test
  void aStripDecoderShowsItsOwnSlotsOfItsLine() throws Exception {
    String line =
        """
        {"kind": "DMX", "port": 1, "label": "1", "used": true, "start": {"universe": 1}, "sections": []},
        {"kind": "PIXEL\"""";
    put(
        DOCUMENT
            .replace("{\"kind\": \"PIXEL\"", line)
            .replace("\"size\": 510}", "\"size\": 510, \"dmxPort\": 1}"));
    String card =
        """
        {"format": "hamper-unit", "formatVersion": 1, "about": {"piece": "glow"},
         "told": {"unit": "DECODER", "slot": 3, "pixels": 1, "ledsPerPixel": 3, "channelsPerPixel": 4}}
        """;
    assertThat(ask("PUT", "card/DMX/1", bytes(card)).statusCode()).isEqualTo(200);
    assertThat(ask("PUT", "card/DMX/1", bytes(card.replace("3,", "0,"))).statusCode())
        .isEqualTo(422);
    byte[] packet = new byte[E131.dataSize(8)];
    E131.writeData(packet, new E131.Stream(new byte[16], "test", 1, 100, 0), 1, 0, 0, 8);
    for (int i = 0; i < 8; i++) {
      packet[E131.slotsAt() + i] = (byte) (i + 1);
    }
    try (DatagramSocket socket = new DatagramSocket()) {
      String address = standIns.places().get("k1").address();
      socket.send(
          new DatagramPacket(packet, packet.length, new InetSocketAddress(address, E131.PORT)));
    }
    until(
        () ->
            ask("GET", "state")
                .body()
                .contains(
                    "\"line\":\"DMX 1\",\"piece\":\"glow\",\"width\":4,\"shown\":\"AwQFBg==\""));
  }

  /** Something that comes true soon. */
  private interface Soon {
    boolean is() throws Exception;
  }

  private static void until(Soon soon) throws Exception {
    for (int i = 0; i < 500 && !soon.is(); i++) {
      Thread.sleep(10);
    }
    assertThat(soon.is()).isTrue();
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
