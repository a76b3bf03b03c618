package hamper.server;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.server.Started.Answer;
import java.nio.charset.StandardCharsets;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** A first evening over the API: new displays, rows of props, the network, the catalogue. */
class EntryApiTest extends ApiCase {
  private Answer rows(String path, String text) {
    return server.post(path("/props/rows") + path, text.getBytes(StandardCharsets.UTF_8));
  }

  @Test
  void lastYearsDisplayBecomesThisYearsAndIsItsOwnFromThenOn() {
    Answer copy =
        server.post("/api/displays", "{\"name\":\"Quay 2027\",\"copyOf\":\"" + display + "\"}");
    assertThat(copy.status()).isEqualTo(201);
    assertThat(copy.body().get("props").asInt()).isEqualTo(whole().get("props").size());
    edit("{\"type\":\"RemoveController\",\"controller\":\"k1\"}");
    JsonNode other = server.get("/api/displays/" + copy.body().get("id").asString()).body();
    assertThat(other.get("name").asString()).isEqualTo("Quay 2027");
    assertThat(other.get("controllers")).hasSize(whole().get("controllers").size() + 1);
    assertThat(server.post("/api/displays", "{\"name\":\"X\",\"copyOf\":\"no\"}").status())
        .isEqualTo(404);
  }

  @Test
  void rowsAreReadWithoutKeepingThemAndThenAddedAsOneStep() {
    String table = "Star 1…3,50,Pier\nMast,2x30,Slipway\n";
    JsonNode read = rows("/preview?header=OPTIONAL", table).body();
    assertThat(read.get("rows").asInt()).isEqualTo(2);
    assertThat(read.get("props").asInt()).isEqualTo(4);
    assertThat(read.get("pieces").asInt()).isEqualTo(5);
    assertThat(read.get("pixels").asInt()).isEqualTo(210);
    assertThat(read.get("newZones").get(0).asString()).isEqualTo("Pier");
    int before = whole().get("props").size();
    Answer added = rows("?header=OPTIONAL&version=1", table);
    assertThat(added.status()).isEqualTo(200);
    assertThat(added.body().get("label").asString()).isEqualTo("Add 4 props");
    assertThat(whole().get("props")).hasSize(before + 4);
    server.post(path("/undo"), "{\"version\":2}");
    assertThat(whole().get("props")).hasSize(before);
    assertThat(whole().get("zones")).hasSize(7);
  }

  @Test
  void oneBadRowOfThousandsKeepsAllOutAndIsNamed() {
    String table =
        "prop;what\r\n"
            + IntStream.rangeClosed(1, 3000)
                .mapToObj(i -> "Lamp " + i + ";" + (i == 2500 ? "lots" : "10"))
                .collect(Collectors.joining("\r\n"));
    JsonNode read = rows("/preview?header=NEEDED", table).body();
    assertThat(read.get("rows").asInt()).isEqualTo(3000);
    assertThat(read.get("bad").asInt()).isEqualTo(1);
    assertThat(read.get("entries")).hasSize(500);
    assertThat(read.get("entries").get(499).get("row").asInt()).isEqualTo(2501);
    String before = whole().toString();
    Answer refused = rows("?header=NEEDED&version=1", table);
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.body().get("reasons").get(0).get("place").asString())
        .isEqualTo("row 2501, what");
    assertThat(whole().toString()).isEqualTo(before);
  }

  @Test
  void rowsReadOnAnOlderVersionAreNotAdded() {
    edit("{\"type\":\"RemoveController\",\"controller\":\"k1\"}");
    assertThat(rows("?header=OPTIONAL&version=1", "Star,50").status()).isEqualTo(409);
  }

  @Test
  void aTableLargerThanIsReadIsRefused() {
    byte[] large = new byte[21 * 1024 * 1024];
    Answer refused = server.post(path("/props/rows?header=NEEDED&version=1"), large);
    assertThat(refused.status()).isIn(413, 422);
  }

  @Test
  void theNetworkFollowsAnEditAndStaysOutOfAnswersThatDoNotTouchIt() {
    JsonNode network = whole().get("network");
    assertThat(network.get("lines").get(0).get("free").get(0).asString()).isEqualTo("198.51.100.2");
    assertThat(network.get("flows")).hasSizeGreaterThan(8);
    Answer zone = edit("{\"type\":\"PutZone\",\"zone\":{\"id\":\"pier\",\"name\":\"Pier\"}}");
    assertThat(zone.body().has("network")).isFalse();
    Answer gone = edit("{\"type\":\"RemoveController\",\"controller\":\"k2\"}");
    assertThat(gone.body().at("/network/lines/entries/0/occupants").toString())
        .contains("198.51.100.11")
        .doesNotContain("198.51.100.12");
  }

  @Test
  void theMachinesOwnAdaptersAreListed() {
    JsonNode adapters = server.get("/api/machine/adapters").body();
    assertThat(adapters.values())
        .anySatisfy(
            one -> {
              assertThat(one.get("address").asString()).isEqualTo("127.0.0.1");
              assertThat(one.get("loopback").asBoolean()).isTrue();
            });
  }

  @Test
  void everyModelTellsTheSameAspectsSoThatTwoCanBeCompared() {
    JsonNode models = server.get(path("/catalogue")).body().get("models");
    assertThat(models.size()).isGreaterThanOrEqualTo(9);
    var aspects = models.get(0).get("facts").findValuesAsString("aspect");
    for (JsonNode model : models) {
      assertThat(model.get("facts").findValuesAsString("aspect")).isEqualTo(aspects);
      assertThat(model.get("facts").findValuesAsString("text")).noneMatch(String::isBlank);
    }
  }

  @Test
  void aPreviewTellsBlocksThatMoveAndPiecesThatGoBackToTheTray() {
    Answer moved =
        server.post(
            path("/preview"),
            "{\"edit\":{\"type\":\"MoveController\",\"controller\":\"k4\",\"by\":-1}}");
    assertThat(moved.body().get("blocks").size()).isGreaterThan(1);
    JsonNode block = moved.body().get("blocks").get(0);
    assertThat(block.get("before").get("displayStart").asInt())
        .isNotEqualTo(block.get("after").get("displayStart").asInt());
    Answer mode =
        server.post(
            path("/preview"),
            "{\"edit\":{\"type\":\"ExchangeController\",\"controller\":\"k1\","
                + "\"model\":\"quillby-wren\"}}");
    assertThat(mode.body().get("unpatched").size()).isPositive();
  }

  private JsonNode remedies(JsonNode finding) {
    return server
        .post(path("/remedies"), "{\"identity\":%s}".formatted(finding.get("identity")))
        .body();
  }

  @Test
  void aFindingIsSettledByWhatIsOfferedAndComesBackWithUndo() {
    JsonNode overload = whole().get("findings").get(1);
    assertThat(overload.get("code").asString()).isEqualTo("port-limit");
    JsonNode offered = remedies(overload);
    assertThat(offered.size()).isPositive();
    JsonNode preview = offered.get(0).get("preview");
    assertThat(preview.get("cleared").findValuesAsString("code")).contains("port-limit");
    assertThat(edit(offered.get(0).get("edit").toString()).status()).isEqualTo(200);
    assertThat(whole().get("findings").toString()).doesNotContain("port-limit");
    server.post(path("/undo"), "{\"version\":2}");
    assertThat(whole().get("findings").get(1)).isEqualTo(overload);
  }

  @Test
  void anAcceptedRiskIsOutOfTheWayUntilItsNumbersChange() {
    JsonNode loose =
        whole()
            .get("findings")
            .valueStream()
            .filter(finding -> finding.get("code").asString().equals("not-patched"))
            .findFirst()
            .orElseThrow();
    String accept =
        "{\"type\":\"AcceptFinding\",\"finding\":{\"identity\":%s,\"code\":%s,\"message\":%s,\"reason\":\"Not this year\"}}"
            .formatted(loose.get("identity"), loose.get("code"), loose.get("message"));
    int before = whole().get("findings").size();
    edit(accept);
    assertThat(whole().get("findings")).hasSize(before - 1);
    assertThat(whole().get("accepted").toString()).contains("Not this year", "Hall sign");
    edit(
        "{\"type\":\"SetSections\",\"sections\":[{\"piece\":\"hall-sign-1\",\"index\":0}],"
            + "\"set\":{\"colourOrder\":\"GRB\"}}");
    assertThat(whole().get("accepted").toString()).doesNotContain("Hall sign");
    JsonNode fault = whole().get("findings").get(0);
    edit(
        accept
            .replace(loose.get("message").toString(), fault.get("message").toString())
            .replace(loose.get("identity").toString(), fault.get("identity").toString())
            .replace(loose.get("code").toString(), fault.get("code").toString()));
    assertThat(whole().get("findings").get(0)).as("a fault stays").isEqualTo(fault);
  }

  private Answer addModels(String file) {
    int version = whole().get("version").asInt();
    return server.post(
        "/api/displays/%s/catalogue?version=%d".formatted(display, version),
        file.getBytes(StandardCharsets.UTF_8));
  }

  @Test
  void aModelFileIsRefusedWithEveryReasonAndAGoodOneStandsInTheCatalogue() {
    Answer broken =
        addModels("{\"format\":\"hamper-catalogue\",\"formatVersion\":1,\"models\":[{}]}");
    assertThat(broken.status()).isEqualTo(422);
    assertThat(broken.body().get("reasons").findValuesAsString("place"))
        .anyMatch(place -> place.startsWith("models[0]"));
    assertThat(addModels("not json").status()).isEqualTo(422);
    assertThat(whole().get("version").asInt()).isEqualTo(1);

    JsonNode shipped = server.get(path("/catalogue")).body().get("models").get(0);
    String own = shipped.get("model").toString().replace("\"id\":\"", "\"id\":\"own-");
    Answer added =
        addModels(
            "{\"format\":\"hamper-catalogue\",\"formatVersion\":1,\"models\":[%s]}".formatted(own));
    assertThat(added.status()).as(added.text()).isEqualTo(200);
    JsonNode models = server.get(path("/catalogue")).body().get("models");
    assertThat(models.values())
        .filteredOn(one -> one.get("own").asBoolean())
        .singleElement()
        .satisfies(one -> assertThat(one.get("model").get("id").asString()).startsWith("own-"));
  }

  @Test
  void nothingIsOfferedForAFindingThatIsNotThere() {
    Answer none = server.post(path("/remedies"), "{\"identity\":\"something-else\"}");
    assertThat(none.status()).isEqualTo(200);
    assertThat(none.body()).isEmpty();
  }
}
