package hamper.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.util.Set;
import java.util.TreeSet;
import java.util.zip.ZipFile;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Milestones, keeping still, the log, next year's copy, and what is downloaded. */
class SeasonApiTest extends ApiCase {
  private static final String RAIL =
      "{\"type\":\"SetSections\",\"sections\":[{\"piece\":\"gangway-rail-1\",\"index\":0}],\"set\":{\"pixels\":%d}}";
  private static final String STILL = "{\"type\":\"SetDisplay\",\"settings\":{\"keepsStill\":%s}}";

  private JsonNode compare(String from, String to) {
    return server
        .get(path("/milestones/comparison?from=" + from + "&to=" + to))
        .body()
        .get("comparison");
  }

  private String milestone(String name) {
    var answer = server.post(path("/milestones"), "{\"name\":\"%s\"}".formatted(name));
    assertThat(answer.status()).as(answer.text()).isEqualTo(201);
    return answer.body().get(answer.body().size() - 1).get("id").asString();
  }

  @Test
  void aMilestoneIsComparedTravelsInTheFileAndIsGoneBackTo() {
    String opening = milestone("Opening night");
    assertThat(edit(RAIL.formatted(90)).status()).isEqualTo(200);
    JsonNode comparison = compare(opening, "now");
    assertThat(comparison.at("/props/0/name").asString()).isEqualTo("Gangway rail");
    assertThat(comparison.get("told").toString()).contains("Port 4: 210 → 215 pixels");
    assertThat(comparison.get("moved").toString()).contains("\"written\":\"K1-7\"");
    JsonNode shadows = server.get(path("/milestones/" + opening + "/shadows")).body();
    assertThat(shadows.get("legs")).isNotEmpty();

    String file = server.get(path("/file")).text();
    String copy = server.post("/api/displays/import", file).body().get("id").asString();
    assertThat(
            server
                .get("/api/displays/" + copy + "/milestones")
                .body()
                .get(0)
                .get("name")
                .asString())
        .isEqualTo("Opening night");

    var back =
        server.post(
            path("/milestones/" + opening + "/restoring"), "{\"version\":%d}".formatted(version()));
    assertThat(back.body().get("label").asString()).isEqualTo("Go back to Opening night");
    assertThat(compare(opening, "now").get("props")).isEmpty();
    assertThat(undo().status()).isEqualTo(200);
    assertThat(compare(opening, "now").get("props")).isNotEmpty();
    assertThat(server.delete(path("/milestones/" + opening)).status()).isEqualTo(204);
    assertThat(server.get(path("/milestones/comparison?from=" + opening)).status()).isEqualTo(404);
  }

  @Test
  void nextYearsHasThisYearAsItsOnlyMilestoneAndNothingGiven() {
    milestone("Opening night");
    edit(STILL.formatted(true));
    String next =
        server
            .post(
                "/api/displays",
                "{\"name\":\"Quay 2027\",\"copyOf\":\"%s\",\"nextYear\":true}".formatted(display))
            .body()
            .get("id")
            .asString();
    JsonNode milestones = server.get("/api/displays/" + next + "/milestones").body();
    assertThat(milestones).hasSize(1);
    assertThat(milestones.get(0).get("name").asString()).isEqualTo("Saltmarsh Quay");
    JsonNode whole = server.get("/api/displays/" + next).body();
    assertThat(whole.at("/settings/keepsStill").isMissingNode()).isTrue();
    for (JsonNode one :
        server.get("/api/displays/" + next + "/handover/now").body().get("controllers")) {
      assertThat(one.get("state").asString()).isEqualTo("NEVER");
    }
  }

  @Test
  void whereStartsKeepStillAnEditHoldsThemOrAsks() {
    edit(STILL.formatted(true));
    JsonNode preview =
        server
            .post(path("/preview"), "{\"edit\":%s}".formatted(RAIL.formatted(80)))
            .body()
            .get("still");
    assertThat(preview.get("movesWithout").asInt()).isPositive();
    assertThat(preview.get("movesWith").asInt()).isZero();
    String bollards = startOf("bollards-1");
    assertThat(edit(RAIL.formatted(80)).status()).isEqualTo(200);
    assertThat(startOf("bollards-1")).isEqualTo(bollards);
    assertThat(server.get(path("/log")).body().at("/lines/0/moved").asString()).isEmpty();

    // K3 counts on from port to port: what follows has to move, and somebody has to say so
    String bands = RAIL.replace("gangway-rail-1", "tower-bands-1").formatted(305);
    var asked = edit(bands);
    assertThat(asked.status()).isEqualTo(409);
    assertThat(asked.body().get("title").asString()).isEqualTo("Starts have to move");
    assertThat(asked.body().get("moving").toString()).contains("counts on from port to port");
    int before = version();
    var told =
        server.post(
            path("/edits"),
            "{\"version\":%d,\"edit\":%s,\"moveStarts\":true}".formatted(before, bands));
    assertThat(told.status()).isEqualTo(200);
    assertThat(undo().status()).isEqualTo(200);
  }

  private String startOf(String piece) {
    for (JsonNode controller : whole().get("controllers")) {
      for (JsonNode lane : controller.get("lanes")) {
        for (JsonNode leg : lane.get("legs")) {
          if (leg.get("piece").asString().equals(piece)) {
            return leg.at("/sections/0/start").asString();
          }
        }
      }
    }
    throw new IllegalArgumentException(piece);
  }

  @Test
  void theLogSaysWhoDidWhatAndHowItWasThen() {
    HttpRequest.Builder request =
        HttpRequest.newBuilder(URI.create(server.base + path("/edits")))
            .header("Content-Type", "application/json")
            .header("Hamper-Who", "J%C3%B6rg")
            .POST(
                BodyPublishers.ofString(
                    "{\"version\":1,\"edit\":%s}".formatted(RAIL.formatted(90))));
    assertThat(server.send(request).status()).isEqualTo(200);
    edit(RAIL.replace("gangway-rail-1", "boathouse-ridge-1").formatted(210));
    JsonNode log = server.get(path("/log")).body();
    assertThat(log.get("lines")).hasSize(2);
    assertThat(log.at("/lines/1/by").asString()).isEqualTo("Jörg");
    assertThat(log.at("/lines/1/moved").asString()).contains("15 channels on K1");
    assertThat(log.get("more").asBoolean()).isFalse();
    JsonNode ridge =
        server.get(path("/log?prop=" + propOf("boathouse-ridge-1"))).body().get("lines");
    assertThat(ridge).hasSize(1);
    JsonNode then = server.get(path("/log/1")).body();
    assertThat(then.get("display").get("version").asInt()).isEqualTo(1);
    assertThat(then.get("display").toString()).contains("\"pixels\":220");
    assertThat(server.get(path("/log/99")).status()).isEqualTo(404);
  }

  private String propOf(String piece) {
    for (JsonNode prop : whole().get("props")) {
      for (JsonNode one : prop.get("pieces")) {
        if (one.at("/piece/id").asString().equals(piece)) {
          return prop.at("/prop/id").asString();
        }
      }
    }
    throw new IllegalArgumentException(piece);
  }

  @Test
  void rescueAnswersAndEverythingIsThereToDownload() throws Exception {
    String k7 = "k7";
    JsonNode answers = server.post(path("/rescue/" + k7), "").body();
    assertThat(answers.get(0).at("/answer/way").asString()).isEqualTo("SPARE");
    assertThat(server.post(path("/rescue/nobody"), "").status()).isEqualTo(404);
    assertThat(server.get(path("/show-list.csv")).text())
        .startsWith("prop,piece,section")
        .contains("Gangway rail");
    assertThat(server.get(path("/show-list.txt")).text())
        .contains("Saltmarsh Quay, version 1, 40 frames a second");
    assertThat(entries("/show-list.xlsx")).contains("xl/workbook.xml");
    assertThat(entries("/bundle.zip"))
        .contains("manifest.json", "configurations/K1.configuration.json", "send-list.csv");
    assertThat(server.get(path("/moved.csv")).text()).startsWith("prop,");
  }

  private Set<String> entries(String path) throws IOException, InterruptedException {
    byte[] bytes =
        server
            .client()
            .send(
                HttpRequest.newBuilder(URI.create(server.base + path(path))).build(),
                BodyHandlers.ofByteArray())
            .body();
    Set<String> names = new TreeSet<>();
    // by its directory, as whatever opens it does
    try (ZipFile zip = new ZipFile(Files.write(data.resolve("archive"), bytes).toFile())) {
      zip.stream().forEach(entry -> names.add(entry.getName()));
    }
    return names;
  }
}
