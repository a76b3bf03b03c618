package hamper.server;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.catalog.Catalog;
import hamper.display.Plan;
import hamper.facts.Facts;
import hamper.files.CatalogueFiles;
import hamper.samples.CaptureWriter;
import hamper.samples.PlayedAir;
import hamper.server.live.DemoDisplay;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Base64;
import java.util.List;
import java.util.function.Predicate;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Who is there, what arrives, what was captured, and what is on a line: asked of stand-ins. */
class NetworkLookApiTest extends ApiCase {
  private String at(String what) {
    return path("/" + what);
  }

  private JsonNode until(String what, Predicate<JsonNode> is) throws InterruptedException {
    JsonNode now = server.get(at(what)).body();
    for (int i = 0; i < 200 && !is.test(now); i++) {
      Thread.sleep(100);
      now = server.get(at(what)).body();
    }
    assertThat(is.test(now)).as("%s: %s", what, now).isTrue();
    return now;
  }

  private JsonNode who() throws InterruptedException {
    assertThat(server.post(at("who"), "").status()).isEqualTo(200);
    return until(
        "who", now -> now.path("percent").asInt() == 100 && !now.get("running").asBoolean());
  }

  private static JsonNode of(JsonNode run, String controller) {
    return of(run, "present", controller);
  }

  private static JsonNode of(JsonNode all, String list, String controller) {
    return all.get(list)
        .valueStream()
        .filter(one -> one.path("controller").asString("").equals(controller))
        .findFirst()
        .orElseThrow();
  }

  private void misbehave(String controller, String what, boolean on) {
    String body =
        "{\"controller\":\"%s\",\"misbehaviour\":\"%s\",\"on\":%s}".formatted(controller, what, on);
    assertThat(server.put(at("trial/misbehaviour"), body).status()).isEqualTo(204);
  }

  @AfterEach
  void quiet() {
    server.delete("/api/output");
    server.delete(at("listening"));
  }

  @Test
  void everybodyIsFoundAndWhatDiffersIsSaidAsThat() throws Exception {
    JsonNode all = who();
    assertThat(all.get("live").asBoolean()).isFalse();
    assertThat(all.get("present"))
        .hasSize(10)
        .allSatisfy(one -> assertThat(one.get("state").asString()).isEqualTo("AS_PLANNED"));
    assertThat(of(all, "k2").get("ways").valueStream().map(JsonNode::asString))
        .containsExactly("GIVING", "ARTNET");
    assertThat(of(all, "k3").get("ways").valueStream().map(JsonNode::asString))
        .containsExactly("GIVING", "DDP");

    misbehave("k2", "off", true);
    misbehave("k3", "other-model", true);
    misbehave("k6", "other-name", true);
    misbehave("k9", "other-address", true);
    assertThat(server.put(at("strangers"), "{\"models\":[\"quillby-wren\"]}").status())
        .isEqualTo(204);
    JsonNode run = who();
    assertThat(of(run, "k2").get("state").asString()).isEqualTo("MISSING");
    assertThat(of(run, "k3").get("state").asString()).isEqualTo("OTHER_MODEL");
    assertThat(of(run, "k3").at("/told/0").asString())
        .isEqualTo("it says that it is a Somebody Stranger, planned is a Quillby Wren");
    assertThat(of(run, "k6").get("state").asString()).isEqualTo("OTHER_NAME");
    assertThat(of(run, "k9").get("state").asString()).isEqualTo("OTHER_ADDRESS");
    assertThat(of(run, "k1").get("state").asString()).isEqualTo("AS_PLANNED");
    JsonNode stranger =
        run.get("present")
            .valueStream()
            .filter(one -> one.get("state").asString().equals("UNKNOWN"))
            .findFirst()
            .orElseThrow();
    assertThat(stranger.get("model").asString()).isEqualTo("quillby-wren");
    assertThat(stranger.get("at").asString()).startsWith("198.51.100.");

    // taken into the plan in one step, and out again by one undo
    var taken =
        edit(
            """
            {"type": "Together", "title": "Take it in", "edits": [
              {"type": "AddControllers", "model": "quillby-wren", "controllers": ["k11"]},
              {"type": "SetControllers", "controllers": ["k11"],
               "set": {"settings": {"address": "%s"}}}]}
            """
                .formatted(stranger.get("at").asString()));
    assertThat(taken.status()).as(taken.text()).isEqualTo(200);
    JsonNode planned = server.get(at("who")).body();
    assertThat(planned.get("version").asInt()).as("held beside the plan as it is now").isEqualTo(2);
    assertThat(of(planned, "k11").get("state").asString()).isEqualTo("AS_PLANNED");
    assertThat(undo().status()).isEqualTo(200);
    assertThat(server.get(at("who")).body().get("present")).hasSize(11);
  }

  @Test
  void strangersThatNobodyKnowsAreRefused() {
    var answer = server.put(at("strangers"), "{\"models\":[\"nobody\"]}");
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.body().get("detail").asString()).contains("no device model has this id");
  }

  @Test
  void standInsAreAskedWhatTheyCountOfWhatIsLit() throws Exception {
    assertThat(
            server
                .post(
                    "/api/output",
                    "{\"display\":\"%s\",\"percent\":30,\"pattern\":{\"kind\":\"TURNS\"}}"
                        .formatted(display))
                .status())
        .isEqualTo(200);
    assertThat(server.post(at("listening"), "").status()).isEqualTo(200);
    JsonNode heard =
        until(
            "listening",
            now ->
                now.at("/report/lines").valueStream().filter(NetworkLookApiTest::isCounted).count()
                    == 47);
    assertThat(heard.at("/report/findings"))
        .as("only K4, which took no configuration")
        .hasSize(1)
        .allSatisfy(
            one ->
                assertThat(one.get("text").asString())
                    .isEqualTo(
                        "Each of E1.31 universes 26–34 is planned for K4 by its group and not heard"));
    server.delete("/api/output");
    until("listening", now -> now.at("/report/findings").size() > 5);
    server.delete(at("listening"));
    JsonNode ended = until("listening", now -> !now.get("running").asBoolean());
    assertThat(ended.has("failed")).isFalse();
  }

  private static boolean isCounted(JsonNode line) {
    return line.get("state").asString().equals("COUNTED");
  }

  private static byte[] capture(int frames) throws IOException {
    Catalog catalog = CatalogueFiles.shipped();
    Facts facts = Facts.of(new Plan(DemoDisplay.read(catalog), catalog));
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    new PlayedAir(facts)
        .play(
            frames,
            new CaptureWriter(out, CaptureWriter.Framing.ETHERNET, ByteOrder.LITTLE_ENDIAN, false));
    return out.toByteArray();
  }

  private JsonNode dropped(byte[] file) throws InterruptedException {
    var answer =
        server.send(
            HttpRequest.newBuilder(URI.create(server.base + at("capture?name=dusk.pcap")))
                .header("Content-Type", "application/octet-stream")
                .POST(BodyPublishers.ofByteArray(file)));
    assertThat(answer.status()).as(answer.text()).isEqualTo(200);
    return until("capture", now -> !now.get("running").asBoolean());
  }

  @Test
  void aCaptureIsReadFrameByFrame() throws Exception {
    JsonNode read = dropped(capture(200));
    assertThat(read.has("failed")).as("%s", read.path("failed")).isFalse();
    assertThat(read.at("/report/findings")).isEmpty();
    assertThat(read.at("/summary/format").asString()).isEqualTo("pcap");
    assertThat(read.get("from").asString()).isEqualTo("198.51.100.5");
    long first = read.get("firstMicros").asLong();
    assertThat(read.get("lastMicros").asLong() - first).isEqualTo(199 * PlayedAir.FRAME_MICROS);
    // the fourth frame has all levels at 4; from there to the next, and a second later
    JsonNode fourth = moment(first + 3 * PlayedAir.FRAME_MICROS);
    assertThat(levelOf(fourth)).isEqualTo(4);
    assertThat(fourth.get("after").asLong()).isEqualTo(first + 4 * PlayedAir.FRAME_MICROS);
    assertThat(fourth.get("before").asLong()).isEqualTo(first + 2 * PlayedAir.FRAME_MICROS);
    assertThat(levelOf(moment(fourth.get("after").asLong()))).isEqualTo(5);
    assertThat(levelOf(moment(first + 120 * PlayedAir.FRAME_MICROS))).isEqualTo(121);
    JsonNode last = moment(read.get("lastMicros").asLong());
    assertThat(levelOf(last)).isEqualTo(200);
    assertThat(last.get("after").asLong()).isEqualTo(read.get("lastMicros").asLong());
    assertThat(server.delete(at("capture")).status()).isEqualTo(204);
    assertThat(server.get(at("capture")).status()).isEqualTo(204);
    assertThat(server.get(at("capture/moment?micros=1")).status()).isEqualTo(422);
  }

  private JsonNode moment(long micros) {
    return server.get(at("capture/moment?micros=" + micros)).body();
  }

  /** Of the first byte of K3 that shows anything: nothing is dimmed there. */
  private static int levelOf(JsonNode moment) {
    JsonNode k3 = of(moment, "controllers", "k3");
    byte[] meant = Base64.getDecoder().decode(k3.at("/ports/0/meant").asString());
    for (byte one : meant) {
      if (one != 0) {
        return one & 255;
      }
    }
    return 0;
  }

  @Test
  void whatIsNoCaptureSaysSoInOneSentence() throws Exception {
    byte[] capture = capture(3);
    for (byte[] file :
        List.of(
            new byte[0],
            "hello, this is no capture".getBytes(StandardCharsets.UTF_8),
            Arrays.copyOf(capture, 12))) {
      String failed = dropped(file).path("failed").asString("");
      assertThat(failed).endsWith(".").doesNotContain("\n").isNotEqualTo(".");
    }
    JsonNode cut = dropped(Arrays.copyOf(capture, capture.length - 100));
    assertThat(cut.at("/summary/ended").asString()).startsWith("It ends in the middle of frame");
    assertThat(cut.at("/report/findings").size()).as("what was read is compared").isLessThan(9);
    byte[] long32 = capture.clone();
    Arrays.fill(long32, 32, 36, (byte) 0xff);
    assertThat(dropped(long32).at("/summary/ended").asString()).contains("4294967295 bytes");
  }

  private String line(String controller, String kind, int port) {
    return "lines/%s/%s/%d".formatted(controller, kind, port);
  }

  private JsonNode asked(String line, String how) throws InterruptedException {
    assertThat(server.post(at(line), how).status()).isEqualTo(200);
    JsonNode run = until(line, now -> !now.get("running").asBoolean());
    assertThat(run.has("failed")).as("%s", run.path("failed")).isFalse();
    return run;
  }

  private static List<String> states(JsonNode run) {
    return run.get("entries").valueStream().map(one -> one.get("state").asString()).toList();
  }

  @Test
  void aFixtureOnItsLineIsFoundMovedAfterALookAndBlinks() throws Exception {
    // lit meanwhile, by Art-Net, which asks and sends from one port
    server.post("/api/output", "{\"display\":\"%s\",\"percent\":30}".formatted(display));
    String line = line("k5", "DMX", 1);
    JsonNode run = asked(line, "{\"anew\":false}");
    assertThat(run.get("written").asString()).isEqualTo("K5-DMX1");
    assertThat(states(run)).hasSize(6).containsOnly("AS_PLANNED");
    String uid = run.at("/entries/1/device/id").asString();
    String wanted = "{\"uid\":\"%s\",\"slot\":3}".formatted(uid);
    JsonNode preview = server.post(at(line) + "/slot/preview", wanted).body();
    assertThat(preview.at("/1/state").asString()).isEqualTo("OVERLAPS");
    assertThat(states(until(line, now -> true))).as("nothing was set").containsOnly("AS_PLANNED");
    JsonNode set = server.put(at(line) + "/slot", wanted).body();
    assertThat(set.at("/entries/1/device/place").asInt()).isEqualTo(3);
    JsonNode again = asked(line, "{\"anew\":true}");
    assertThat(again.at("/entries/1/device/place").asInt()).as("read from it anew").isEqualTo(3);
    assertThat(states(again)).contains("OVERLAPS");
    server.put(at(line) + "/slot", "{\"uid\":\"%s\",\"slot\":9}".formatted(uid));
    JsonNode blinks =
        server.put(at(line) + "/identify", "{\"uid\":\"%s\",\"on\":true}".formatted(uid)).body();
    assertThat(blinks.at("/entries/1/device/identifying").asBoolean()).isTrue();
    assertThat(asked(line, "{\"anew\":false}").at("/entries/1/device/identifying").asBoolean())
        .isTrue();
    server.put(at(line) + "/identify", "{\"uid\":\"%s\",\"on\":false}".formatted(uid));
    var refused = server.put(at(line) + "/slot", "{\"uid\":\"%s\",\"slot\":513}".formatted(uid));
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.body().get("detail").asString()).contains("513").contains("1 to 512");
  }

  @Test
  void serialUnitsAreFoundInARangeAndADoubleNumberCollides() throws Exception {
    String line = line("h1", "SERIAL", 1);
    JsonNode run = asked(line, "{\"anew\":false,\"from\":1,\"to\":20}");
    assertThat(states(run)).containsOnly("AS_PLANNED");
    int unit = run.at("/entries/0/device/place").asInt();
    String second = run.at("/entries/1/piece").asString();
    // two packs set to one number
    var changed =
        edit(
            "{\"type\":\"SetPieces\",\"pieces\":[\"%s\"],\"set\":{\"kind\":\"dimmer\",\"unit\":%d}}"
                .formatted(second, unit));
    assertThat(changed.status()).as(changed.text()).isEqualTo(200);
    JsonNode collided = asked(line, "{\"anew\":false,\"from\":1,\"to\":20}");
    assertThat(states(collided)).contains("COLLIDES", "MISSING");
    assertThat(collided.at("/entries/0/told/0").asString())
        .isEqualTo("several answer as unit %d, and nobody is understood".formatted(unit));
    JsonNode beside = asked(line, "{\"anew\":false,\"from\":90,\"to\":99}");
    assertThat(states(beside)).as("another range").containsOnly("MISSING");
    var refused = server.post(at(line), "{\"anew\":false,\"from\":0}");
    assertThat(refused.status()).isEqualTo(422);
  }
}
