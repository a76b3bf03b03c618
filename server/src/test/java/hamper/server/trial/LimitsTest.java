package hamper.server.trial;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.files.Json;
import hamper.samples.Trial;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** Limits are checked before work is done; the largest that is allowed is done. */
@Tag("trial")
class LimitsTest {
  private static final int MEGABYTE = 1 << 20;

  @TempDir static Path folder;
  private static ServerProcess server;
  private String display;

  @BeforeAll
  static void start() throws Exception {
    server = ServerProcess.usual(folder);
  }

  @BeforeEach
  void begin() throws Exception {
    display =
        "/api/displays/"
            + Json.MAPPER
                .readTree(server.post("/api/displays", "{\"name\":\"Large\"}").body())
                .get("id")
                .asString();
  }

  @AfterAll
  static void stop() throws Exception {
    server.end();
  }

  @Test
  void whatIsTooLargeIsRefusedBeforeItIsMade() throws Exception {
    refused("20 MB of commas", ",".repeat(19 * MEGABYTE), "cells; allowed are 100");
    refused("20 MB of empty lines", "\n".repeat(19 * MEGABYTE), "lines; allowed are");
    refused("4 million rows", "A,5\n".repeat(4_000_000), "lines; allowed are");
    refused("20 MB in one cell", "A,\"" + "x".repeat(19 * MEGABYTE), "close its quotation mark");
    refused(
        "5 million props in 4,999 rows",
        "B 1...1000,50\n".repeat(4_999),
        "one table makes at most 5,000");
    refused(
        "100 million pieces in 1,000 rows",
        IntStream.range(0, 1_000)
            .mapToObj(i -> "B%d 1...1000,100x50%n".formatted(i))
            .collect(Collectors.joining()),
        "one table makes at most 10,000 of each");
    assertThat(version()).isEqualTo(1);
  }

  @Test
  void asManyRowsAsATableHoldsGoOntoThousandsOfProps() throws Exception {
    List<String> tables = List.of("Star", "Moon", "Sun", "Rail").subList(0, Trial.size(2, 4));
    for (int i = 0; i < tables.size(); i++) {
      HttpResponse<String> answer =
          rows("5,000 rows onto %,d props".formatted(i * 5_000), table(tables.get(i), 5_000));
      assertThat(answer.statusCode()).isEqualTo(200);
      if (i == 1) {
        refused("10,000 rows onto 10,000 props", table("Buoy", 10_000), "allowed are 5,000");
      }
    }
    // the label of a change of all of them
    JsonNode whole = Json.MAPPER.readTree(server.get(display).body());
    String props =
        IntStream.range(0, tables.size() * 5_000)
            .mapToObj(i -> whole.get("props").get(i).at("/prop/id").toString())
            .collect(Collectors.joining(","));
    String edit =
        "\"edit\":{\"type\":\"SetProps\",\"props\":[" + props + "],\"set\":{\"brightness\":20}}";
    long begin = System.nanoTime();
    HttpResponse<String> answer =
        server.post(display + "/edits", "{\"version\":" + version() + "," + edit + "}");
    told("a change of %,d props".formatted(tables.size() * 5_000), begin, answer);
    assertThat(answer.statusCode()).isEqualTo(200);
  }

  private static String table(String names, int rows) {
    return IntStream.range(0, rows)
        .mapToObj(i -> "%s %d,50,Zone %d%n".formatted(names, i, i % 40))
        .collect(Collectors.joining());
  }

  private int version() throws Exception {
    return Json.MAPPER.readTree(server.get(display).body()).get("version").asInt();
  }

  private void refused(String what, String rows, String why) throws Exception {
    HttpResponse<String> answer = rows(what, rows);
    assertThat(answer.statusCode()).as(what).isEqualTo(422);
    assertThat(answer.body()).contains(why);
  }

  private HttpResponse<String> rows(String what, String rows) throws Exception {
    URI uri =
        URI.create(server.base() + display + "/props/rows?header=OPTIONAL&version=" + version());
    byte[] body = rows.getBytes(StandardCharsets.UTF_8);
    long begin = System.nanoTime();
    HttpResponse<String> answer =
        server.send(
            HttpRequest.newBuilder(uri)
                .header("Content-Type", "application/octet-stream")
                .POST(BodyPublishers.ofByteArray(body)));
    told(what, begin, answer);
    return answer;
  }

  private void told(String what, long begin, HttpResponse<String> answer) throws Exception {
    String memory =
        Files.readAllLines(Path.of("/proc/" + server.pid() + "/status")).stream()
            .filter(line -> line.startsWith("VmHWM"))
            .map(line -> line.replaceAll("\\D", ""))
            .findFirst()
            .orElse("0");
    Trial.say(
        "%s: %d after %,d ms; the server has taken at most %,d MB so far",
        what,
        answer.statusCode(),
        (System.nanoTime() - begin) / 1_000_000,
        Long.parseLong(memory) / 1024);
  }
}
