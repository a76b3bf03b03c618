package hamper.server;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.server.Started.Answer;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Strings are ticked, in trouble, put away; it stays over a restart and beside the undo. */
class ProgressApiTest extends ApiCase {
  private static final String COPING = "wall-coping-west-1";

  private Answer put(String what, String json) {
    return server.putAs("Ada", path("/progress/" + what), json.replace('\'', '"'));
  }

  private Answer stage(String piece, String stage) {
    return put("stage", "{'pieces':['%s'],'stage':'%s'}".formatted(piece, stage));
  }

  private JsonNode string(String piece) {
    return server
        .get(path("/progress"))
        .body()
        .get("strings")
        .valueStream()
        .filter(one -> one.get("piece").asString().equals(piece))
        .findFirst()
        .orElseThrow();
  }

  private String stageOf(String piece) {
    return string(piece).get("stage").asString();
  }

  @Test
  void aStringGoesFromTheWorkshopToSeenRightAndItStaysOverARestart() {
    assertThat(stageOf(COPING)).isEqualTo("PLANNED");
    for (String stage : new String[] {"TESTED", "HUNG", "PLUGGED_IN", "POWERED", "SEEN_RIGHT"}) {
      assertThat(stage(COPING, stage).status()).isEqualTo(200);
      assertThat(stageOf(COPING)).isEqualTo(stage);
    }
    restart();
    assertThat(stageOf(COPING)).isEqualTo("SEEN_RIGHT");
    JsonNode marks = server.get(path("/trial/marks")).body();
    assertThat(marks.get("seen")).as("the word of trials").hasSize(1);
    // other levels than those that were seen right: it has to be looked at again
    edit(
        "{\"type\":\"SetControllers\",\"controllers\":[\"k1\"],"
            + "\"set\":{\"settings\":{\"brightness\":61}}}");
    assertThat(stageOf(COPING)).isEqualTo("POWERED");
    undo();
    assertThat(stageOf(COPING)).as("facts are not undone").isEqualTo("SEEN_RIGHT");
    stage(COPING, "HUNG");
    assertThat(stageOf(COPING)).isEqualTo("HUNG");
    JsonNode history = server.get(path("/progress/" + COPING + "/history")).body();
    assertThat(history).hasSize(6);
    assertThat(history.get(0).get("told").asString()).isEqualTo("hung");
    assertThat(history.get(0).get("by").asString()).isEqualTo("Ada");
  }

  @Test
  void whatWasMovedIsNoLongerPluggedIn() {
    stage(COPING, "POWERED");
    edit(
        "{\"type\":\"PatchPieces\",\"pieces\":[\"%s\"],".formatted(COPING)
            + "\"port\":{\"controller\":\"k1\",\"kind\":\"PIXEL\",\"port\":12}}");
    assertThat(stageOf(COPING)).isEqualTo("HUNG");
    assertThat(string(COPING).get("elsewhere").asBoolean()).isTrue();
    undo();
    assertThat(stageOf(COPING)).isEqualTo("POWERED");
  }

  @Test
  void whatCannotBeIsRefusedAndNothingIsKept() {
    assertThat(
            server
                .put(
                    path("/progress/stage"),
                    "{\"pieces\":[\"%s\"],\"stage\":\"SEEN_RIGHT\"}".formatted(COPING))
                .text())
        .contains("say who stood there");
    Answer loose = stage("weather-vane-1", "PLUGGED_IN");
    assertThat(loose.status()).isEqualTo(422);
    assertThat(loose.text()).contains("Weather vane").contains("patch it first");
    assertThat(stage("nobody", "HUNG").text()).contains("no string of this display");
    assertThat(put("stage", "{'pieces':['%s','nobody'],'stage':'HUNG'}".formatted(COPING)).status())
        .isEqualTo(422);
    assertThat(put("stage", "{'pieces':[],'stage':'HUNG'}").status()).isGreaterThanOrEqualTo(400);
    assertThat(stageOf(COPING)).isEqualTo("PLANNED");
  }

  @Test
  void troubleHasAReasonAPhotoAndAnEndAndStandsOnTheCrewsSheet() throws Exception {
    stage(COPING, "HUNG");
    ByteArrayOutputStream png = new ByteArrayOutputStream();
    ImageIO.write(new BufferedImage(9600, 3000, BufferedImage.TYPE_INT_RGB), "png", png);
    String name = photo(png.toByteArray()).body().get("name").asString();
    Answer said =
        put(
            "trouble",
            "{'pieces':['%s'],'reason':'dark from pixel 20','urgency':'TONIGHT','owner':'Bo','photo':'%s'}"
                .formatted(COPING, name));
    assertThat(said.status()).as(said.text()).isEqualTo(200);
    assertThat(string(COPING).at("/trouble/owner").asString()).isEqualTo("Bo");
    String sheet = server.get(path("/paper/sheets/K1")).text();
    assertThat(sheet).contains("▲ trouble, tonight: dark from pixel 20 (Bo)");
    var kept =
        server
            .client()
            .send(
                HttpRequest.newBuilder(URI.create(server.base + path("/progress/photos/" + name)))
                    .build(),
                BodyHandlers.ofByteArray());
    assertThat(kept.headers().firstValue("content-type")).contains("image/jpeg");
    BufferedImage drawn = ImageIO.read(new ByteArrayInputStream(kept.body()));
    assertThat(drawn.getWidth()).isEqualTo(1600);
    assertThat(drawn.getHeight()).isEqualTo(500);
    put("settled", "{'pieces':['%s']}".formatted(COPING));
    assertThat(string(COPING).has("trouble")).isFalse();
    assertThat(stageOf(COPING)).isEqualTo("HUNG");
  }

  private Answer photo(byte[] bytes) {
    return server.send(
        HttpRequest.newBuilder(URI.create(server.base + path("/progress/photos")))
            .header("Content-Type", "application/octet-stream")
            .POST(BodyPublishers.ofByteArray(bytes)));
  }

  @Test
  void whatIsNoPhotoIsRefusedAndNoPathLeadsOut() throws IOException {
    assertThat(photo("hello".getBytes()).text()).contains("send a JPEG or a PNG");
    assertThat(photo(new byte[3_000_000]).text()).contains("make it smaller");
    assertThat(server.get(path("/progress/photos/..%2F..%2Fhamper.mv.db")).status())
        .isGreaterThanOrEqualTo(400);
    assertThat(server.get(path("/progress/photos/nothing")).status()).isEqualTo(404);
    assertThat(Files.exists(data.resolve("photos").resolve(display))).isFalse();
  }

  @Test
  void whatIsPutAwayStandsOnTheListsOfJanuary() {
    stage(COPING, "POWERED");
    put(
        "stored",
        "{'pieces':['%s'],'condition':'REPAIR','place':'box 12, left shelf'}".formatted(COPING));
    assertThat(stageOf(COPING)).isEqualTo("PLANNED");
    assertThat(string(COPING).at("/stored/place").asString()).isEqualTo("box 12, left shelf");
    JsonNode sheet = server.get(path("/paper/sheets/take-down-list")).body();
    JsonNode repairs =
        sheet
            .get("blocks")
            .valueStream()
            .filter(block -> block.get("title").asString().equals("To repair in spring"))
            .findFirst()
            .orElseThrow();
    assertThat(repairs.get("rows").toString()).contains("Coping west").contains("box 12");
  }
}
