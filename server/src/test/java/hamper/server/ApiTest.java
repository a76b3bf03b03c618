package hamper.server;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.server.Started.Answer;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** The API against the real server and a real database file. */
class ApiTest extends ApiCase {
  private Answer importFile(byte[] bytes) {
    return server.post("/api/displays/import", bytes);
  }

  private static String patch(String piece, int port) {
    return """
        {"type": "PatchPieces", "pieces": ["%s"],
         "port": {"controller": "k1", "kind": "PIXEL", "port": %d}}
        """
        .formatted(piece, port);
  }

  private String file() {
    return server.get(path("/file")).text();
  }

  @Test
  void anEditAnswersWhatChangedAndNotEverything() {
    Answer answer = edit(1, patch("dinghy-red-1", 12));
    assertThat(answer.status()).isEqualTo(200);
    assertThat(answer.body().get("version").asInt()).isEqualTo(2);
    assertThat(answer.body().get("label").asString()).isEqualTo("Patch Red dinghy to K1-12");
    assertThat(answer.body().get("controllers"))
        .extracting(view -> view.get("controller").get("tag").asString())
        .contains("K1")
        .doesNotContain("K3");
    assertThat(answer.body().get("props")).hasSize(1);
    assertThat(answer.body().get("undo").get("undo").asString())
        .isEqualTo("Patch Red dinghy to K1-12");
  }

  @Test
  void undoAndRedoWalkTheSameLineAfterARestart() {
    String atFirst = file();
    edit(1, patch("dinghy-red-1", 12));
    edit(2, patch("dinghy-blue-1", 12));
    String patched = file();
    server.post(path("/undo"), "{\"version\": 3}");
    restart();
    JsonNode redone = server.post(path("/redo"), "{\"version\": 4}").body();
    assertThat(redone.get("label").asString()).isEqualTo("Patch Blue dinghy to K1-12");
    assertThat(file()).isEqualTo(patched);
    server.post(path("/undo"), "{\"version\": 5}");
    server.post(path("/undo"), "{\"version\": 6}");
    assertThat(file()).isEqualTo(atFirst);
    assertThat(whole().get("undo").has("undo")).isFalse();
    Answer nothing = server.post(path("/undo"), "{\"version\": 7}");
    assertThat(nothing.body().get("detail").asString()).contains("nothing to undo");
  }

  @Test
  void everyKindOfEditSurvivesARestart() {
    List<String> edits =
        List.of(
            "{\"type\":\"SetLegs\",\"pieces\":[\"winch-1\"],\"set\":{\"nullPixels\":2,\"cableMetres\":7.5}}",
            "{\"type\":\"SetLegs\",\"pieces\":[\"mooring-rope-1\"],\"set\":{\"mirrorOf\":\"winch-1\"}}",
            "{\"type\":\"SetSections\",\"sections\":[{\"piece\":\"winch-1\",\"index\":0}],\"set\":{\"pixels\":61,"
                + "\"nullPixels\":1,\"group\":2,\"fold\":7,\"backward\":true,\"colourOrder\":\"BRG\","
                + "\"brightness\":44,\"hold\":{\"universe\":5,\"channel\":31}}}",
            "{\"type\":\"UnpatchPieces\",\"pieces\":[\"ladders-1\",\"ladders-3\"]}",
            "{\"type\":\"RemoveProps\",\"props\":[\"net\"]}",
            "{\"type\":\"RemoveController\",\"controller\":\"k5\"}",
            "{\"type\":\"MoveController\",\"controller\":\"k4\",\"by\":-2}",
            "{\"type\":\"PutZone\",\"zone\":{\"id\":\"pier\",\"name\":\"Pier\",\"eastMetres\":4.5}}",
            "{\"type\":\"PutProps\",\"props\":[{\"id\":\"pier-bell\",\"name\":\"Pier bell\",\"zone\":\"pier\","
                + "\"pieces\":[{\"kind\":\"circuit\",\"id\":\"pier-bell-1\",\"name\":\"lamp\",\"threshold\":9,"
                + "\"safeOn\":true}]}]}",
            "{\"type\":\"PutController\",\"controller\":{\"id\":\"k19\",\"tag\":\"K19\",\"name\":\"Pier\","
                + "\"model\":\"ostrand-five\",\"settings\":{\"protocol\":\"E131\",\"transport\":\"MULTICAST\","
                + "\"universeSize\":510,\"reserveUniverses\":3,\"reserveChannels\":0,\"packing\":\"WHOLE_PIXEL\","
                + "\"zone\":\"pier\",\"note\":\"under the stairs\"},\"inputs\":[{\"firstUniverse\":40,\"count\":2,\"size\":510}],\"runs\":[],"
                + "\"sending\":{\"fromStorage\":true,\"backup\":\"h2\",\"fullUniverses\":true,"
                + "\"synchronization\":77,\"hostName\":\"pier\"},\"adapters\":[{\"name\":\"eth\","
                + "\"address\":\"198.51.100.77\"}],\"cables\":[{\"bank\":1,\"box\":1,\"metres\":7.5}]}}",
            "{\"type\":\"SetLegs\",\"pieces\":[\"crab-pots-1\"],\"set\":{\"box\":2}}",
            "{\"type\":\"SetMode\",\"controller\":\"k4\",\"mode\":\"12 ports\"}",
            "{\"type\":\"HoldGiven\",\"controller\":\"k6\"}",
            "{\"type\":\"ExchangeController\",\"controller\":\"k7\",\"model\":\"ostrand-twelve\"}",
            "{\"type\":\"PatchAcross\",\"pieces\":[\"buoys-1\",\"slip-edge-1\"],\"controller\":\"k6\"}",
            "{\"type\":\"PutSubnet\",\"subnet\":{\"id\":\"pier\",\"name\":\"Pier\","
                + "\"network\":\"192.0.2.0\",\"prefix\":28,\"dhcpFirst\":\"192.0.2.3\",\"dhcpLast\":\"192.0.2.9\"}}",
            "{\"type\":\"RemoveSubnet\",\"subnet\":\"air\"}",
            "{\"type\":\"AddToCatalogue\",\"models\":[],\"pixelTypes\":[{\"id\":\"own\",\"name\":\"Own\","
                + "\"chip\":\"X1\",\"colourOrder\":\"GRB\",\"bits\":24,\"bitRateKHz\":800,\"resetMicros\":50,"
                + "\"headBits\":0,\"tailBits\":0,\"volts\":12,\"leastVolts\":9,\"fullMilliamps\":50,"
                + "\"idleMilliamps\":1}]}",
            "{\"type\":\"AcceptFinding\",\"finding\":{\"code\":\"not-patched\",\"message\":\"Lamp posts"
                + " hangs on no port\",\"reason\":\"They stay in the store this year\"}}",
            "{\"type\":\"WithdrawAcceptance\",\"code\":\"colour-orders\",\"message\":\"Hall sign has"
                + " sections in RGB and BRG\"}",
            "{\"type\":\"Together\",\"title\":\"Two at once\",\"edits\":[{\"type\":\"SplitSection\","
                + "\"piece\":\"winch-1\",\"index\":0,\"pixels\":20},{\"type\":\"DuplicateProp\","
                + "\"prop\":\"winch\",\"copies\":[\"winch-two\"],"
                + "\"mirrorImage\":true}]}",
            "{\"type\":\"PatchNearest\",\"pieces\":[\"winch-two-1\"]}",
            "{\"type\":\"RemoveZone\",\"zone\":\"slipway\"}",
            "{\"type\":\"AddControllers\",\"model\":\"ostrand-five\",\"controllers\":[\"more-1\",\"more-2\"]}",
            "{\"type\":\"SetControllers\",\"controllers\":[\"k1\",\"k2\"],\"set\":{\"settings\":{\"brightness\":31,"
                + "\"source\":null},\"sending\":{\"hostName\":\"quay\"}}}",
            "{\"type\":\"SetProps\",\"props\":[\"winch\"],\"set\":{\"zone\":null,\"brightness\":12}}",
            "{\"type\":\"SetPieces\",\"pieces\":[\"winch-1\"],\"set\":{\"kind\":\"string\",\"leadMetres\":2.5,"
                + "\"wires\":{\"gauge\":\"AWG 16\"}}}",
            "{\"type\":\"SetPort\",\"port\":{\"controller\":\"k1\",\"kind\":\"PIXEL\",\"port\":2},\"set\":{\"brightness\":55}}",
            "{\"type\":\"SetZones\",\"zones\":[\"pier\"],\"set\":{\"northMetres\":7}}",
            "{\"type\":\"SetSubnets\",\"subnets\":[\"pier\"],\"set\":{\"dhcpFirst\":null,\"dhcpLast\":null}}",
            "{\"type\":\"SetDisplay\",\"name\":\"Saltmarsh\",\"settings\":{\"firstUniverse\":3,"
                + "\"universeStride\":2,\"framesPerSecond\":25}}");
    int version = 1;
    for (String edit : edits) {
      Answer answer = edit(version++, edit);
      assertThat(answer.status()).as(answer.text()).isEqualTo(200);
    }
    String before = file();
    JsonNode wholeBefore = whole();
    restart();
    assertThat(file()).isEqualTo(before);
    assertThat(whole()).isEqualTo(wholeBefore);
  }

  @Test
  void twoWindowsCannotOverwriteEachOtherUnseen() {
    edit(1, patch("dinghy-red-1", 12));
    Answer late = edit(1, patch("dinghy-blue-1", 12));
    assertThat(late.status()).isEqualTo(409);
    assertThat(late.body().get("version").asInt()).isEqualTo(2);
    assertThat(late.body().get("since"))
        .extracting(JsonNode::asString)
        .containsExactly("Patch Red dinghy to K1-12");
    assertThat(whole().get("version").asInt()).isEqualTo(2);
  }

  @Test
  void anEditThatCannotBeSaysFieldValueAndWhatIsAllowed() {
    Answer pixels =
        edit(
            1,
            "{\"type\":\"SetSections\",\"sections\":[{\"piece\":\"winch-1\",\"index\":0}],"
                + "\"set\":{\"pixels\":-4}}");
    assertThat(pixels.status()).isEqualTo(422);
    assertThat(pixels.body().get("field").asString()).isEqualTo("pixels");
    assertThat(pixels.body().get("value").asString()).isEqualTo("-4");
    assertThat(pixels.body().get("allowed").asString()).contains("1 to 100000");
    assertThat(edit(1, patch("nobody", 10)).body().get("detail").asString())
        .contains("no piece of this display has this id");
    Answer missing = edit(1, "{\"type\":\"MoveBoundary\",\"piece\":\"winch-1\",\"by\":1}");
    assertThat(missing.body().get("field").asString()).isEqualTo("edit.index");
    assertThat(edit(1, "{\"type\":\"Juggle\"}").status()).isEqualTo(422);
    assertThat(whole().get("version").asInt()).isEqualTo(1);
  }

  /** A string of two sections, of which the first is dimmed, does not dim the second. */
  @Test
  void theBrightnessOutsideASectionIsNotThatOfTheFirst() {
    edit(1, "{\"type\":\"SplitSection\",\"piece\":\"winch-1\",\"index\":0,\"pixels\":20}");
    edit(
        2,
        "{\"type\":\"SetSections\",\"sections\":[{\"piece\":\"winch-1\",\"index\":0}],"
            + "\"set\":{\"brightness\":90}}");
    JsonNode leg =
        whole()
            .get("controllers")
            .valueStream()
            .flatMap(one -> one.get("lanes").valueStream())
            .flatMap(lane -> lane.get("legs").valueStream())
            .filter(one -> one.get("piece").asString().equals("winch-1"))
            .findFirst()
            .orElseThrow();
    assertThat(leg.get("brightness").asInt()).as("K1's own").isEqualTo(25);
    assertThat(leg.at("/sections/0/startAt/universe").asInt()).isEqualTo(6);
    assertThat(leg.at("/sections/0/startAt/channel").asInt()).isEqualTo(352);
    JsonNode loose =
        whole()
            .get("props")
            .valueStream()
            .flatMap(prop -> prop.get("pieces").valueStream())
            .filter(piece -> !piece.has("port"))
            .findFirst()
            .orElseThrow();
    assertThat(loose.get("brightness").asInt()).as("usual").isEqualTo(30);
  }

  @Test
  void aPreviewShowsTheConsequencesAndKeepsNothing() {
    Answer preview =
        server.post(path("/preview"), "{\"edit\": %s}".formatted(patch("slip-edge-1", 5)));
    assertThat(preview.body().get("cleared"))
        .extracting(finding -> finding.get("message").asString())
        .containsExactly("Slipway edge hangs on no port");
    assertThat(preview.body().get("lanes"))
        .anyMatch(lane -> lane.get("written").asString().equals("K1-5"));
    assertThat(whole().get("version").asInt()).isEqualTo(1);
  }

  private JsonNode preview(String edit) {
    return server.post(path("/preview"), "{\"edit\": %s}".formatted(edit)).body();
  }

  @Test
  void whatAnotherModeOrDeviceCannotDoIsSaidBeforehand() {
    JsonNode fewer =
        preview(
            "{\"type\":\"ExchangeController\",\"controller\":\"k4\",\"model\":\"ostrand-five\"}");
    assertThat(fewer.get("label").asString()).isEqualTo("Exchange K4 for Ostrand Five");
    assertThat(fewer.get("found"))
        .extracting(finding -> finding.get("message").asString())
        .contains("Bridge bollards hangs on no port", "Weir hangs on no port")
        .anyMatch(message -> message.contains("a start at 27:199"));
    JsonNode mode = preview("{\"type\":\"SetMode\",\"controller\":\"k4\",\"mode\":\"12 ports\"}");
    assertThat(mode.get("cleared"))
        .extracting(finding -> finding.get("code").asString())
        .containsExactly("port-limit");
    assertThat(whole().get("version").asInt()).isEqualTo(1);
  }

  @Test
  void aModelFileIsAddedToTheDisplayOrRefusedWithItsReasons() {
    String model =
        """
        {"format": "hamper-catalogue", "formatVersion": 1, "models": [{"id": "barge-one",
          "maker": "Barge", "name": "One", "ports": [{"kind": "PIXEL", "modes":
          [{"name": "all", "ports": 4}]}], "protocols": [{"protocol": "DDP",
          "transports": ["UNICAST"]}], "dialect": {"style": "PIXEL_COUNTS"}}]}
        """;
    String path = path("/catalogue?version=");
    assertThat(server.post(path + 1, model).body().get("label").asString())
        .isEqualTo("Add Barge One to the catalogue");
    assertThat(file()).contains("barge-one");
    JsonNode shipped = whole().get("pixelTypes");
    String own =
        """
        {"format": "hamper-catalogue", "formatVersion": 1, "pixelTypes": [{"id": "own-grb",
          "name": "Own", "chip": "X1", "colourOrder": "GRB", "bits": 24, "bitRateKHz": 800,
          "resetMicros": 50, "volts": 12, "leastVolts": 9, "fullMilliamps": 50,
          "idleMilliamps": 1}]}
        """;
    assertThat(server.post(path + 2, own).body().get("pixelTypes")).hasSize(shipped.size() + 1);
    Answer bad = server.post(path + 3, model.replace("PIXEL_COUNTS", "GUESSING"));
    assertThat(bad.body().get("reasons").get(0).get("place").asString())
        .isEqualTo("models[0].dialect.style");
    assertThat(whole().get("version").asInt()).isEqualTo(3);
  }

  @Test
  void aFileThatCannotBeUsedStoresNothing() {
    int before = server.get("/api/displays").body().size();
    Answer bad = importFile("{\"format\":".getBytes(StandardCharsets.UTF_8));
    assertThat(bad.status()).isEqualTo(422);
    assertThat(bad.body().get("title").asString())
        .isEqualTo("This file cannot be used; nothing was stored");
    assertThat(bad.body().get("reasons").get(0).get("place").asString()).startsWith("line 1");
    Answer large = importFile(new byte[30 * 1024 * 1024]);
    assertThat(large.status()).isEqualTo(422);
    assertThat(large.text()).contains("31,457,280 bytes; allowed are 20,971,520");
    assertThat(server.get("/api/displays").body()).hasSize(before);
  }

  @Test
  void otherWindowsFollow() throws Exception {
    HttpRequest request = HttpRequest.newBuilder(URI.create(server.base + "/api/events")).build();
    var stream = server.client().send(request, BodyHandlers.ofInputStream());
    try (BufferedReader lines =
        new BufferedReader(new InputStreamReader(stream.body(), StandardCharsets.UTF_8))) {
      String line = lines.readLine();
      while (!line.equals("event:hello")) {
        line = lines.readLine();
      }
      edit(1, patch("dinghy-red-1", 12));
      while (!line.startsWith(
          "data:{\"display\":\"" + display + "\",\"delta\":{\"fromVersion\":1,\"version\":2")) {
        line = lines.readLine();
      }
      assertThat(line).contains("Patch Red dinghy to K1-12");
    }
  }

  @Test
  void aDisplayThatDoesNotExistIsNotFound() {
    assertThat(server.get("/api/displays/none").status()).isEqualTo(404);
    assertThat(server.get("/api/displays/%s/configurations/none".formatted(display)).status())
        .isEqualTo(404);
  }

  @Test
  void strangersAreKeptOut() {
    var post =
        HttpRequest.newBuilder(URI.create(server.base + "/api/displays"))
            .header("Content-Type", "application/json")
            .header("Origin", "http://elsewhere.example")
            .POST(HttpRequest.BodyPublishers.ofString("{\"name\": \"theirs\"}"));
    assertThat(server.send(post).status()).isEqualTo(403);
    assertThat(rawStatus("evil.example")).contains("421");
    assertThat(server.get("/api/displays").body()).hasSize(1);
  }

  /** Status line of a request that calls this machine by another name. */
  private String rawStatus(String host) {
    URI uri = URI.create(server.base);
    try (var socket = new java.net.Socket("localhost", uri.getPort())) {
      String request = "GET /api/displays HTTP/1.1\r\nHost: %s\r\nConnection: close\r\n\r\n";
      socket.getOutputStream().write(request.formatted(host).getBytes(StandardCharsets.US_ASCII));
      return new BufferedReader(new InputStreamReader(socket.getInputStream())).readLine();
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  @Test
  void aFileNameCannotLeaveItsFolder() {
    edit(1, "{\"type\":\"SetDisplay\",\"name\":\"../../etc/passwd\"}");
    var request = HttpRequest.newBuilder(URI.create(server.base + path("/file")));
    try {
      var answer = server.client().send(request.build(), BodyHandlers.ofString());
      assertThat(answer.headers().firstValue("content-disposition").orElseThrow())
          .contains("etc-passwd.hamper.json")
          .doesNotContain("..")
          .doesNotContain("/");
    } catch (IOException | InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  @Test
  void ordinaryEditsAreAnsweredAndAddressesFollow() {
    edit(1, patch("dinghy-red-1", 12));
    String csv = server.get(path("/addresses.csv")).text();
    assertThat(csv).contains("K1,PIXEL,12,1,Red dinghy,string 1,1,88,0,88,264,6223,6486");
    JsonNode sheet = server.get(path("/handover/controllers/k1")).body();
    JsonNode outputs = sheet.get("configuration").get("outputs");
    assertThat(outputs.get(11).get("used").asBoolean()).isTrue();
    assertThat(sheet.at("/sheet/mask").asString()).isEqualTo("255.255.255.0");
    assertThat(server.get(path("/sheets/k1.txt")).text())
        .containsPattern("Device: .*address 198\\.51\\.100\\.11, mask 255\\.255\\.255\\.0");
    assertThat(server.get(path("/send-list.csv")).text()).contains("239.255.0.1,1,14,510");
  }
}
