package hamper.server;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.server.Started.Answer;
import java.io.ByteArrayInputStream;
import java.io.InputStream;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.util.ArrayList;
import java.util.List;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.Sheet;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Sheets, tags, labels, lists over the API, as files and as text. */
class PaperApiTest extends ApiCase {
  private byte[] bytes(String below) throws Exception {
    var answer =
        server
            .client()
            .send(
                HttpRequest.newBuilder(URI.create(server.base + path(below))).build(),
                BodyHandlers.ofByteArray());
    assertThat(answer.statusCode()).as(below).isEqualTo(200);
    return answer.body();
  }

  @Test
  void everySheetIsAFileAndAText() throws Exception {
    JsonNode paper = server.get(path("/paper?size=A4")).body();
    assertThat(paper.get("pages").asInt()).isGreaterThan(30);
    List<String> ids = new ArrayList<>();
    paper.get("sheets").forEach(one -> ids.add(one.get("id").asString()));
    assertThat(ids)
        .doesNotHaveDuplicates()
        .contains("summary", "K1", "dmx-lines", "send-list", "show-list", "shopping-list", "tags")
        .contains("take-down-list")
        .anyMatch(id -> id.startsWith("lid-"))
        .anyMatch(id -> id.endsWith("-behind"));
    for (String id : ids) {
      JsonNode sheet = server.get(path("/paper/sheets/" + id)).body();
      assertThat(sheet.get("blocks")).as(id).isNotEmpty();
      if (!id.equals("K6")) {
        assertThat(server.get(path("/paper?size=LETTER&sheet=" + id)).body().get("pages").asInt())
            .isPositive();
      }
    }
    assertThat(bytes("/paper/sheets.pdf?size=A4&sheet=K6")).startsWith('%', 'P', 'D', 'F');
    assertThat(bytes("/paper/page.png?size=A4&sheet=K6&page=2")).startsWith(0x89, 'P', 'N', 'G');
    assertThat(server.get(path("/paper/page.png?size=A4&sheet=K6&page=99")).status())
        .isEqualTo(422);
    assertThat(server.get(path("/paper/sheets/nothing")).status()).isEqualTo(404);
  }

  @Test
  void tagsAreGivenKeptAndPrinted() throws Exception {
    JsonNode before = server.get(path("/paper/tags")).body();
    int untagged = before.get("untagged").asInt();
    assertThat(untagged).isGreaterThan(72);
    assertThat(before.get("tags")).isEmpty();
    assertThat(edit("{\"type\":\"GiveTags\"}").status()).isEqualTo(200);
    restart();
    JsonNode after = server.get(path("/paper/tags")).body();
    assertThat(after.get("untagged").asInt()).isZero();
    assertThat(after.get("tags")).hasSize(untagged);
    String tag = after.get("tags").get(0).at("/tag/text").asString();
    assertThat(tag).isEqualTo("S001");
    assertThat(whole().toString()).contains("\"tags\":[\"S001\"");
    Answer twice =
        edit(
            "{\"type\":\"SetTag\",\"on\":{\"kind\":\"STRING\",\"of\":\"wall-coping-east-1\"},"
                + "\"text\":\"S001\"}");
    assertThat(twice.status()).isEqualTo(422);
    assertThat(bytes("/paper/labels.pdf?size=A4_65&used=3&tag=S001"))
        .startsWith('%', 'P', 'D', 'F');
    assertThat(bytes("/paper/label-test.pdf?size=LETTER_30")).startsWith('%', 'P', 'D', 'F');
    assertThat(server.get(path("/paper/labels.pdf?size=A4_24&used=24")).text()).contains("23");
    undo();
    assertThat(server.get(path("/paper/tags")).body().get("tags")).isEmpty();
    edit("{\"type\":\"GiveTags\"}");
    assertThat(server.get(path("/paper/tags")).body().at("/tags/0/tag/text").asString())
        .as("numbers that were on paper once are not given again")
        .isEqualTo("S" + "%03d".formatted(untagged + 1));
  }

  @Test
  void everythingIsASpreadsheetWithNumbersFiltersAndNoFormulas() throws Exception {
    edit("{\"type\":\"SetProps\",\"props\":[\"wall-coping-west\"],\"set\":{\"name\":\"=1+2\"}}");
    edit("{\"type\":\"SetStock\",\"article\":\"Fuse, 5 A\",\"count\":60}");
    byte[] file = bytes("/paper/everything.xlsx");
    try (InputStream in = new ByteArrayInputStream(file);
        ReadableWorkbook book = new ReadableWorkbook(in)) {
      List<String> names = book.getSheets().map(Sheet::getName).toList();
      assertThat(names)
          .containsExactly(
              "Addresses",
              "Ports",
              "Props",
              "Loads",
              "Feeds",
              "Send list",
              "Show list",
              "Shopping list",
              "Tags",
              "Units",
              "Where each string is");
      for (Sheet sheet : book.getSheets().toList()) {
        sheet
            .read()
            .forEach(
                row ->
                    row.stream()
                        .filter(cell -> cell != null)
                        .forEach(cell -> assertThat(cell.getFormula()).isNull()));
      }
      var rows = book.findSheet("Shopping list").orElseThrow().read();
      assertThat(rows)
          .anySatisfy(
              row -> {
                assertThat(row.getCellText(1)).isEqualTo("Fuse, 5 A");
                assertThat(row.getCellAsNumber(3).orElseThrow().intValue()).isEqualTo(67);
                assertThat(row.getCellAsNumber(5).orElseThrow().intValue()).isEqualTo(60);
                assertThat(row.getCellAsNumber(6).orElseThrow().intValue()).isEqualTo(11);
              });
      assertThat(book.findSheet("Props").orElseThrow().read())
          .anyMatch(row -> row.getCellText(0).equals("=1+2"));
    }
    JsonNode shopping = server.get(path("/paper/shopping")).body();
    assertThat(shopping.get("sparesPercent").asInt()).isEqualTo(5);
    edit("{\"type\":\"SetWorkshop\",\"sparesPercent\":10}");
    assertThat(server.get(path("/paper/shopping")).body().get("sparesPercent").asInt())
        .isEqualTo(10);
  }

  @Test
  void aUnitIsKnownByItsSerialNumberAndLiesSomewhere() {
    Answer said =
        server.put(path("/paper/units"), "{\"serial\":\"V32-0007\",\"place\":\"shelf 3\"}");
    assertThat(said.body().at("/units/0/place").asString()).isEqualTo("shelf 3");
    restart();
    assertThat(server.get(path("/paper/sheets/units")).text())
        .contains("V32-0007")
        .contains("shelf 3");
    assertThat(server.put(path("/paper/units"), "{\"serial\":\" \",\"place\":\"x\"}").text())
        .contains("name the unit");
    server.put(path("/paper/units"), "{\"serial\":\"V32-0007\",\"place\":\"\"}");
    assertThat(server.get(path("/paper/units")).body().get("units")).isEmpty();
  }
}
