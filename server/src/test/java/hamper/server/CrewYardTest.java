package hamper.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Random;
import java.util.concurrent.CompletableFuture;
import java.util.zip.CRC32;
import java.util.zip.DeflaterOutputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What phones in the yard ask, say and light. */
class CrewYardTest extends CrewCase {
  private Key key;

  @BeforeEach
  void openIt() {
    open(false);
    key = key("TICK", "NOTE", "PHOTO", "LIGHT", "RESCUE");
  }

  private JsonNode get(String path) {
    return json(send("GET", "/crew/api/" + path, key.secret(), null));
  }

  private List<String> hanging() {
    List<String> all = new ArrayList<>();
    get("strings")
        .get("strings")
        .forEach(
            one -> {
              if (one.has("port")) {
                all.add(one.get("piece").asString());
              }
            });
    return all;
  }

  private JsonNode stringOf(String piece) {
    for (JsonNode one : get("strings").get("strings")) {
      if (one.get("piece").asString().equals(piece)) {
        return one;
      }
    }
    throw new AssertionError(piece);
  }

  private static String claim(String id, String piece, String kind, String more) {
    return """
        {"id": "%s", "piece": "%s", "by": "Tomás", "millisAgo": 5, "kind": "%s"%s}"""
        .formatted(id, piece, kind, more);
  }

  private JsonNode say(String... claims) {
    return json(
        send(
            "POST",
            "/crew/api/claims",
            key.secret(),
            "{\"claims\": [" + String.join(",", claims) + "]}"));
  }

  private static String reached(String id, String piece, String stage) {
    return claim(id, piece, "REACHED", ", \"stage\": \"%s\"".formatted(stage));
  }

  @Test
  void thePageOfAControllerHasWhatItsCrewSheetHas() {
    JsonNode yard = get("yard");
    assertThat(yard.get("controllers").size()).isGreaterThan(9);
    int legs = 0;
    for (JsonNode controller : yard.get("controllers")) {
      JsonNode page = get("controllers/" + controller.get("id").asString());
      assertThat(page.at("/sheet/tag").asString()).isEqualTo(controller.get("tag").asString());
      for (JsonNode group : page.at("/sheet/groups")) {
        for (JsonNode port : group.get("ports")) {
          legs += port.get("legs").size();
        }
      }
    }
    int planned = 0;
    for (JsonNode controller : whole().get("controllers")) {
      for (JsonNode lane : controller.get("lanes")) {
        planned += lane.get("legs").size();
      }
    }
    assertThat(legs).isEqualTo(planned);
    assertThat(send("GET", "/crew/api/controllers/none", key.secret(), null).statusCode())
        .isEqualTo(404);
  }

  @Test
  void whatIsSaidTwiceIsThereOnceAndTwoPhonesAgree() {
    String piece = hanging().get(0);
    assertThat(say(reached("c1", piece, "HUNG")).get(0).get("verdict").asString())
        .isEqualTo("TAKEN");
    assertThat(say(reached("c1", piece, "HUNG")).get(0).get("verdict").asString())
        .isEqualTo("AGREED");
    assertThat(say(reached("c2", piece, "HUNG")).get(0).get("verdict").asString())
        .isEqualTo("AGREED");
    assertThat(get("strings/" + piece + "/history").size()).isEqualTo(1);
    // two of one string in one request, and the same name twice
    JsonNode both =
        say(
            reached("c3", piece, "PLUGGED_IN"),
            reached("c4", piece, "POWERED"),
            reached("c4", piece, "POWERED"));
    assertThat(both.size()).isEqualTo(2);
    assertThat(stringOf(piece).get("stage").asString()).isEqualTo("POWERED");
    assertThat(get("strings/" + piece + "/history").size()).isEqualTo(3);
    assertThat(server.get(path("/progress")).text()).contains("Tomás");
    // taken back by the same person, whose phone took longer to send what was said before
    String late = claim("c5", piece, "TAKEN_BACK", ", \"stage\": \"HUNG\"");
    say(late.replace("\"millisAgo\": 5,", "\"millisAgo\": 9000,"));
    assertThat(stringOf(piece).get("stage").asString()).isEqualTo("HUNG");
  }

  /** A hundred ticks of five phones at once, each sent twice: each is there once. */
  @Test
  void phonesAtOnceLoseNothingAndDoubleNothing() {
    List<String> pieces = hanging().subList(0, 20);
    List<CompletableFuture<HttpResponse<String>>> all = new ArrayList<>();
    for (int phone = 0; phone < 5; phone++) {
      for (int times = 0; times < 2; times++) {
        StringBuilder claims = new StringBuilder();
        for (int i = 0; i < pieces.size(); i++) {
          claims
              .append(i == 0 ? "" : ",")
              .append(reached("p%d-%d".formatted(phone, i), pieces.get(i), "HUNG"));
        }
        all.add(
            client.sendAsync(
                HttpRequest.newBuilder(URI.create(origin + "/crew/api/claims"))
                    .header("Content-Type", "application/json")
                    .header("Cookie", "hamper-crew=" + key.secret())
                    .POST(BodyPublishers.ofString("{\"claims\": [" + claims + "]}"))
                    .build(),
                BodyHandlers.ofString()));
      }
    }
    all.forEach(one -> assertThat(json(one.join()).size()).isEqualTo(20));
    for (String piece : pieces) {
      assertThat(get("strings/" + piece + "/history").size()).as(piece).isEqualTo(1);
    }
  }

  @Test
  void eachClaimIsRefusedByItselfInASentence() {
    String piece = hanging().get(0);
    String loose = "";
    for (JsonNode one : get("strings").get("strings")) {
      loose = one.has("port") ? loose : one.get("piece").asString();
    }
    Key ticks = key("TICK");
    JsonNode answer =
        json(
            send(
                "POST",
                "/crew/api/claims",
                ticks.secret(),
                "{\"claims\": ["
                    + String.join(
                        ",",
                        reached("a", "none", "HUNG"),
                        reached("b", loose, "PLUGGED_IN"),
                        claim("c", piece, "NOTED", ", \"text\": \"a note\""),
                        claim("d", piece, "REACHED", ""),
                        reached("e", piece, "HUNG"))
                    + "]}"));
    assertThat(answer.size()).isEqualTo(5);
    for (JsonNode one : answer) {
      boolean good = one.get("id").asString().equals("e");
      assertThat(one.has("verdict")).isEqualTo(good);
      assertThat(one.has("refused")).isNotEqualTo(good);
    }
    for (String bad :
        List.of(
            "{\"claims\": []}",
            "{\"claims\": [%s]}".formatted(reached("x y", piece, "HUNG")),
            "{\"claims\": [%s]}".formatted(reached("x", piece, "HUNG").replace("Tomás", " ")),
            "{\"claims\": [%s]}".formatted(reached("x", piece, "HUNG").replace(": 5", ": -5")))) {
      assertThat(send("POST", "/crew/api/claims", key.secret(), bad).statusCode()).isEqualTo(422);
    }
  }

  @Test
  void whatWasSeenRightCountsForWhatWasLookedAt() {
    JsonNode page = get("controllers/k1");
    String piece = page.get("prints").propertyNames().iterator().next();
    String print = page.at("/prints/" + piece).asString();
    say(claim("s1", piece, "REACHED", ", \"stage\": \"SEEN_RIGHT\", \"print\": \"stale\""));
    assertThat(stringOf(piece).get("stage").asString()).isNotEqualTo("SEEN_RIGHT");
    say(claim("s2", piece, "REACHED", ", \"stage\": \"SEEN_RIGHT\", \"print\": \"" + print + "\""));
    assertThat(stringOf(piece).get("stage").asString()).isEqualTo("SEEN_RIGHT");
    say(claim("s3", piece, "TAKEN_BACK", ", \"stage\": \"POWERED\""));
    assertThat(stringOf(piece).get("stage").asString()).isEqualTo("POWERED");
  }

  @Test
  void whatMovedIsToldWithFromToAndWhen() {
    int before = get("yard").get("version").asInt();
    assertThat(get("moves?since=" + before).get("moves").size()).isZero();
    String piece = "wall-coping-west-1";
    String edit =
        """
        {"version": %d, "edit": {"type": "UnpatchPieces", "pieces": ["%s"]}}"""
            .formatted(before, piece);
    assertThat(server.post(path("/edits"), edit).status()).isEqualTo(200);
    JsonNode moves = get("moves?since=" + before);
    assertThat(moves.get("whole").asBoolean()).isTrue();
    assertThat(moves.get("moves").size()).isEqualTo(1);
    JsonNode move = moves.get("moves").get(0);
    assertThat(move.get("piece").asString()).isEqualTo(piece);
    assertThat(move.get("from").asString()).isEqualTo("K1-1");
    assertThat(move.has("to")).isFalse();
    server.post(path("/undo"), "{\"version\": %d}".formatted(before + 1));
    assertThat(get("moves?since=" + before).get("moves").size()).as("it is back").isZero();
  }

  @Test
  void lightFromAPhoneEndsFiveSecondsAfterItsLastWord() throws Exception {
    String piece = "wall-coping-west-1";
    JsonNode lit = light(piece);
    assertThat(lit.get("pieces").asInt()).isEqualTo(1);
    for (int word = 0; word < 3; word++) {
      Thread.sleep(2_000);
      light(piece);
      assertThat(output().get("holders").size()).as("renewed").isEqualTo(1);
    }
    assertThat(output().at("/holders/0/who").asString()).isEqualTo("Tomás, by phone (Ladder two)");
    long last = System.nanoTime();
    light(piece);
    while (!output().has("ended")) {
      Thread.sleep(50);
    }
    double seconds = (System.nanoTime() - last) / 1e9;
    assertThat(seconds).isBetween(4.0, 6.5);
  }

  private JsonNode light(String piece) {
    return json(
        send(
            "PUT",
            "/crew/api/light",
            key.secret(),
            "{\"piece\": \"%s\", \"kind\": \"WHITE\"}".formatted(piece)));
  }

  private JsonNode output() {
    return server.get("/api/output").body();
  }

  @Test
  void whatSwitchesIsSafeASecondAfterThePhoneIsGone() throws Exception {
    String circuit = "";
    for (JsonNode controller : whole().get("controllers")) {
      for (JsonNode lane : controller.get("lanes")) {
        boolean relay = lane.at("/port/kind").asString().equals("RELAY");
        if (relay && !lane.get("legs").isEmpty() && circuit.isEmpty()) {
          circuit = lane.get("legs").get(0).get("piece").asString();
        }
      }
    }
    String held = "{\"piece\": \"%s\", \"on\": true}".formatted(circuit);
    assertThat(send("PUT", "/crew/api/held", key.secret(), held).statusCode())
        .as("nothing is lit, nothing armed")
        .isEqualTo(409);
    json(
        send(
            "PUT",
            "/crew/api/light",
            key.secret(),
            "{\"piece\": \"%s\", \"kind\": \"WHITE\", \"armed\": true}".formatted(circuit)));
    for (int word = 0; word < 5; word++) {
      assertThat(send("PUT", "/crew/api/held", key.secret(), held).statusCode()).isEqualTo(204);
      Thread.sleep(250);
    }
    assertThat(output().get("moving").size()).isEqualTo(1);
    Thread.sleep(1_100);
    assertThat(output().get("moving").size()).isZero();
    assertThat(
            send(
                    "PUT",
                    "/crew/api/held",
                    key.secret(),
                    "{\"piece\": \"wall-coping-west-1\", \"on\": true}")
                .statusCode())
        .isEqualTo(422);
    assertThat(send("DELETE", "/crew/api/light/all", key.secret(), null).statusCode())
        .isEqualTo(204);
  }

  @Test
  void rescueIsPlannedByWhoMayAndToldToThePlanner() {
    JsonNode rescues = get("rescue/k2");
    int version = rescues.get("version").asInt();
    String title = "";
    for (JsonNode answer : rescues.get("answers")) {
      title = answer.get("changes").asBoolean() ? answer.get("title").asString() : title;
    }
    assertThat(title).isNotEmpty();
    String take = "{\"version\": %d, \"title\": \"%s\"}".formatted(version, title);
    assertThat(json(send("POST", "/crew/api/rescue/k2", key.secret(), take)).get("version").asInt())
        .isEqualTo(version + 1);
    assertThat(whole().get("version").asInt()).isEqualTo(version + 1);
    assertThat(server.get(path("/log")).text()).contains("Tomás");
    String unknown = take.replace(title, "another way");
    assertThat(send("POST", "/crew/api/rescue/k2", key.secret(), unknown).statusCode())
        .isEqualTo(422);
  }

  @Test
  void guidesAreWalkedFromThePhone() {
    String kind = get("guides").get(0).get("kind").asString();
    JsonNode walk =
        json(
            send(
                "POST",
                "/crew/api/guides/" + kind,
                key.secret(),
                "{\"piece\": \"wall-coping-west-1\", \"answers\": []}"));
    assertThat(walk.at("/next/ask").asString()).isNotBlank();
    assertThat(walk.get("left").size()).isGreaterThan(1);
  }

  private HttpResponse<String> photo(byte[] bytes) {
    return send(
        "POST",
        "/crew/api/photos",
        key.secret(),
        "application/octet-stream",
        BodyPublishers.ofByteArray(bytes));
  }

  private static byte[] picture(int width, int height, String format) throws IOException {
    BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    Graphics2D graphics = image.createGraphics();
    graphics.setColor(Color.ORANGE);
    graphics.fillOval(width / 4, height / 4, width / 2, height / 2);
    graphics.dispose();
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, format, out);
    return out.toByteArray();
  }

  /** A JPEG with a segment of a camera's words before its picture (Exif). */
  private static byte[] withPlace(byte[] jpeg) {
    byte[] words = "Exif\0\0GPS 53.2N 0.1W SECRETPLACE".getBytes(StandardCharsets.US_ASCII);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    out.write(jpeg, 0, 2);
    out.writeBytes(new byte[] {(byte) 0xff, (byte) 0xe1, 0, (byte) (words.length + 2)});
    out.writeBytes(words);
    out.write(jpeg, 2, jpeg.length - 2);
    return out.toByteArray();
  }

  /** A PNG of a few kilobytes that says it has 40,000 × 40,000 pixels. */
  private static byte[] bomb() throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    out.writeBytes(HexFormat.of().parseHex("89504e470d0a1a0a"));
    chunk(out, "IHDR", HexFormat.of().parseHex("00009c4000009c400802000000"));
    ByteArrayOutputStream zeros = new ByteArrayOutputStream();
    try (DeflaterOutputStream deflater = new DeflaterOutputStream(zeros)) {
      deflater.write(new byte[4_000_000]);
    }
    chunk(out, "IDAT", zeros.toByteArray());
    chunk(out, "IEND", new byte[0]);
    return out.toByteArray();
  }

  private static void chunk(ByteArrayOutputStream out, String type, byte[] bytes) {
    byte[] named = new byte[bytes.length + 4];
    System.arraycopy(type.getBytes(StandardCharsets.US_ASCII), 0, named, 0, 4);
    System.arraycopy(bytes, 0, named, 4, bytes.length);
    CRC32 crc = new CRC32();
    crc.update(named);
    out.writeBytes(HexFormat.of().parseHex("%08x".formatted(bytes.length)));
    out.writeBytes(named);
    out.writeBytes(HexFormat.of().parseHex("%08x".formatted(crc.getValue())));
  }

  @Test
  void photosAreCleanAndSmallOrRefusedInASentence() throws Exception {
    byte[] sent = withPlace(picture(4000, 3000, "jpg"));
    assertThat(new String(sent, StandardCharsets.ISO_8859_1)).contains("SECRETPLACE");
    String name = json(photo(sent)).get("name").asString();
    byte[] kept =
        client
            .send(
                HttpRequest.newBuilder(URI.create(origin + "/crew/api/photos/" + name))
                    .header("Cookie", "hamper-crew=" + key.secret())
                    .build(),
                BodyHandlers.ofByteArray())
            .body();
    assertThat(new String(kept, StandardCharsets.ISO_8859_1))
        .doesNotContain("SECRETPLACE", "Exif", "GPS");
    assertThat(ImageIO.read(new ByteArrayInputStream(kept)).getWidth()).isEqualTo(1600);
    assertThat(json(photo(picture(300, 200, "png"))).has("name")).isTrue();
    assertThat(json(photo(picture(300, 200, "gif"))).has("name")).isTrue();
    byte[] large = new byte[12 * 1024 * 1024];
    new Random(1).nextBytes(large);
    for (byte[] bad :
        List.of(new byte[0], "<svg/>".getBytes(StandardCharsets.US_ASCII), bomb(), large)) {
      HttpResponse<String> refused = photo(bad);
      assertThat(refused.statusCode()).as(refused.body()).isIn(413, 422);
      assertThat(refused.body()).contains("\"detail\"");
    }
    say(
        claim(
            "n1",
            "wall-coping-west-1",
            "NOTED",
            ", \"text\": \"behind the gutter\", \"photo\": \"" + name + "\""));
    assertThat(get("strings/wall-coping-west-1/history").get(0).get("photo").asString())
        .isEqualTo(name);
    assertThat(stringOf("wall-coping-west-1").at("/note/text").asString())
        .isEqualTo("behind the gutter");
  }
}
