package hamper.server.trial;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.display.Plan;
import hamper.edit.Edit;
import hamper.files.CatalogueFiles;
import hamper.files.DisplayFile;
import hamper.files.Json;
import hamper.samples.RandomEdits;
import hamper.samples.Trial;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/**
 * Whatever is sent to whichever door is taken or refused; it breaks nothing, shows nothing of the
 * program's inside, and what is stored is the same after a restart.
 */
@Tag("trial")
class HostileRequestsTest {
  private static final int REPEATS = 3;
  private static final int REQUESTS = Trial.size(1_000, 10_000);

  /** What belongs to the program and not into an answer. */
  private static final Pattern INSIDE =
      Pattern.compile(
          "java\\.|hamper\\.[a-z]|tools\\.jackson|org\\.|Exception|StreamReadFeature|`|\\bclass ");

  private static final List<String> DOORS =
      List.of(
          "GET /api/displays",
          "GET /api/displays/{id}",
          "GET /api/displays/{id}/handover",
          "GET /api/displays/{id}/file",
          "GET /api/displays/{id}/send-list.csv",
          "GET /api/displays/{id}/send-list.json",
          "GET /api/displays/{id}/addresses.csv",
          "GET /api/displays/{id}/addresses.json",
          "GET /api/displays/{id}/configurations/{controller}",
          "GET /api/displays/{id}/catalogue",
          "GET /api/catalogue",
          "GET /api/machine/adapters",
          "GET /api/openapi",
          "GET /{path}",
          "POST /api/displays",
          "POST /api/displays/import",
          "POST /api/displays/{id}/edits",
          "POST /api/displays/{id}/edits",
          "POST /api/displays/{id}/edits",
          "POST /api/displays/{id}/edits",
          "POST /api/displays/{id}/undo",
          "POST /api/displays/{id}/redo",
          "POST /api/displays/{id}/preview",
          "POST /api/displays/{id}/preview",
          "GET /api/displays/{id}/proof",
          "DELETE /api/displays/{id}/proof",
          "GET /api/output",
          "GET /api/output/ground",
          "POST /api/output",
          "POST /api/output",
          "PUT /api/output/held",
          "DELETE /api/output/holders",
          "DELETE /api/output",
          "POST /api/displays/{id}/remedies",
          "POST /api/displays/{id}/power/run",
          "POST /api/displays/{id}/power/feeds",
          "POST /api/displays/{id}/catalogue",
          "POST /api/displays/{id}/props/rows",
          "POST /api/displays/{id}/props/rows/preview",
          "DELETE /api/displays/{id}",
          "PUT /api/displays/{id}/edits");

  private static final List<String> PATHS =
      List.of(
          "index.html",
          "..%2f..%2fetc%2fpasswd",
          "%2e%2e/",
          "a%00b",
          "api/none",
          "api/events/x",
          "x".repeat(3_000),
          "%E2%80%AE",
          "error",
          "api/displays/%2e%2e/x");

  private static final List<String> TYPES =
      List.of(
          "application/json",
          "application/json",
          "application/json",
          "application/json",
          "application/octet-stream",
          "text/plain",
          "*/*",
          "json",
          "application/xml",
          "multipart/form-data; boundary=x",
          "application/json;charset=utf-99");

  private static final List<String> ROWS =
      List.of(
          "prop,what\nA,50\n",
          "A 1…5,50\n",
          "=1,2\n",
          "prop,what\nA,-5\n",
          "\"",
          ",,,,,\n",
          "B 1...1000,50\n",
          "prop,what,zone\nA,4x50,Z\n",
          "A,1e308\n",
          "prop\twhat\nA\twall 10000x10000\n");

  private static final List<String> WANTED =
      List.of(
          "",
          "\"only\":{\"props\":[\"coping-west\"]},",
          "\"only\":{\"controllers\":[\"k2\"]},",
          "\"storage\":[\"k8\"],",
          "\"armed\":[\"none\"],");

  @TempDir Path folder;

  private final Random random = new Random(Trial.seed());
  private final HostileJson hostile = new HostileJson(random);
  private final Map<Integer, Integer> answers = new TreeMap<>();
  private RandomEdits edits = new RandomEdits(Trial.seed());
  private ServerProcess server;
  private String display;
  private Plan plan;
  private int version;

  @AfterEach
  void stop() throws InterruptedException {
    server.kill();
  }

  @Test
  void nothingThatIsSentBreaksAnything() throws Exception {
    server = ServerProcess.usual(folder);
    for (int repeat = 1; repeat <= REPEATS; repeat++) {
      display = create("/api/displays/demo", "");
      edits = new RandomEdits(Trial.seed() + repeat);
      plan = read();
      version = 1;
      double[] millis = new double[REQUESTS];
      for (int i = 0; i < REQUESTS; i++) {
        millis[i] = request();
      }
      Arrays.sort(millis);
      Trial.say(
          "repeat %d, %,d hostile requests: median %.1f ms, p99 %.1f ms, worst %.0f ms; answers so far %s",
          repeat,
          REQUESTS,
          millis[REQUESTS / 2],
          millis[REQUESTS * 99 / 100],
          millis[REQUESTS - 1],
          answers);
    }
    Map<String, String> before = files();
    server.kill();
    server = ServerProcess.usual(folder);
    assertThat(files()).isEqualTo(before);
    Trial.say("%d displays are the same after a restart", before.size());
    server.end();
  }

  private String create(String path, String body) throws IOException {
    return Json.MAPPER.readTree(server.post(path, body).body()).get("id").asString();
  }

  private Plan read() throws IOException {
    byte[] file =
        server.get("/api/displays/" + display + "/file").body().getBytes(StandardCharsets.UTF_8);
    return DisplayFile.read(file, CatalogueFiles.shipped());
  }

  private Map<String, String> files() throws IOException {
    Map<String, String> files = new TreeMap<>();
    for (JsonNode one : Json.MAPPER.readTree(server.get("/api/displays").body())) {
      String id = one.get("id").asString();
      HttpResponse<String> file = server.get("/api/displays/" + id + "/file");
      assertThat(file.statusCode()).isEqualTo(200);
      files.put(id, one + file.body());
    }
    return files;
  }

  /** Sends one; answers how long it took (ms). */
  private double request() throws IOException {
    String door = pick(DOORS);
    // what is large or the same each time is asked for seldomer
    boolean seldom = door.endsWith("/import") || door.endsWith("/openapi");
    if (seldom && random.nextInt(4) > 0) {
      door = "GET /api/displays";
    }
    String[] parts = door.split(" ");
    boolean strange = random.nextInt(30) == 0;
    String path =
        parts[1]
            .replace("{id}", strange ? pick(PATHS) : display)
            .replace("{controller}", strange ? pick(PATHS) : "k1")
            .replace("{path}", pick(PATHS));
    byte[] body = parts[0].equals("GET") ? new byte[0] : body(path);
    URI uri = URI.create(server.base() + path + query(path));
    HttpRequest.Builder request =
        HttpRequest.newBuilder(uri).method(parts[0], BodyPublishers.ofByteArray(body));
    if (body.length > 0) {
      request.header("Content-Type", random.nextInt(8) == 0 ? pick(TYPES) : TYPES.get(0));
    }
    if (random.nextInt(40) == 0) {
      request.header("Origin", random.nextBoolean() ? "http://evil.example" : server.base());
    }
    if (random.nextInt(40) == 0) {
      request.header("Accept", pick(List.of("*/*", "text/html", "application/xml", "x/y")));
    }
    long begin = System.nanoTime();
    HttpResponse<String> answer = server.send(request);
    double took = (System.nanoTime() - begin) / 1e6;
    answers.merge(answer.statusCode(), 1, Integer::sum);
    check(parts[0] + " " + uri, body, answer);
    if (door.equals("POST /api/output") && answer.statusCode() == 200 && random.nextInt(4) > 0) {
      // doors are tried, and not how long the whole display may be lit
      server.send(HttpRequest.newBuilder(URI.create(server.base() + path)).DELETE());
    }
    if (parts[0].equals("DELETE") && path.endsWith(display) && answer.statusCode() < 300) {
      // what comes next is not to find nobody at home
      display = create("/api/displays/demo", "");
      plan = read();
      version = 1;
    }
    if (answer.statusCode() == 200 && answer.body().startsWith("{\"fromVersion\"")) {
      version = Json.MAPPER.readTree(answer.body()).get("version").asInt();
      // most edits still fit a display a few steps ago
      plan = version % 5 == 0 ? read() : plan;
    }
    return took;
  }

  private void check(String what, byte[] body, HttpResponse<String> answer) {
    String sent =
        "%s%n%s%nanswers %d: %s"
            .formatted(
                what,
                cut(new String(body, StandardCharsets.UTF_8)),
                answer.statusCode(),
                cut(answer.body()));
    assertThat(answer.statusCode()).as(sent).isLessThan(500);
    if (answer.statusCode() >= 400) {
      assertThat(INSIDE.matcher(answer.body()).find()).as("inside shown: " + sent).isFalse();
    }
  }

  private static String cut(String text) {
    return text.length() > 3_000 ? text.substring(0, 3_000) + "…" : text;
  }

  private String query(String path) {
    if (path.contains("/props/rows")) {
      return "?header=%s&version=%s"
          .formatted(pick(List.of("OPTIONAL", "NEEDED", "X", "")), anyVersion());
    }
    if (path.endsWith("/output") || path.endsWith("/holders")) {
      return pick(
          List.of("", "?workLight=20", "?workLight=x", "?workLight=-1", "?who=Ann", "?who="));
    }
    return path.endsWith("/catalogue") ? "?version=" + anyVersion() : "";
  }

  private String anyVersion() {
    return random.nextInt(4) == 0
        ? pick(List.of("-1", "0", "x", "99999999999", "1e3", ""))
        : "" + version;
  }

  private byte[] body(String path) throws IOException {
    if (random.nextInt(60) == 0) {
      byte[] noise = new byte[random.nextInt(400)];
      random.nextBytes(noise);
      return noise;
    }
    if (path.contains("/props/rows")) {
      return (pick(ROWS) + pick(ROWS)).getBytes(StandardCharsets.UTF_8);
    }
    return hostile.spoil(good(path)).getBytes(StandardCharsets.UTF_8);
  }

  private String good(String path) throws IOException {
    if (path.endsWith("/import")) {
      return Files.readString(Path.of("../docs/formats/example.hamper.json"));
    }
    if (path.endsWith("/catalogue")) {
      return "{\"format\":\"hamper-catalogue\",\"formatVersion\":1,\"models\":[],\"pixelTypes\":[]}";
    }
    if (path.endsWith("/output")) {
      return "{\"display\":\"%s\",\"percent\":40,\"who\":\"%s\",%s\"seconds\":1}"
          .formatted(display, pick(List.of("Ann", "Bo")), pick(WANTED));
    }
    if (path.endsWith("/held")) {
      return "{\"piece\":\"winch-house-fan\",\"who\":\"Ann\",\"levels\":[255]}";
    }
    if (path.endsWith("/remedies")) {
      return "{\"code\":\"overlap\",\"message\":\"x\"}";
    }
    if (path.endsWith("/run")) {
      return "{\"port\":{\"controller\":\"k1\",\"kind\":\"PIXEL\",\"port\":1}}";
    }
    if (path.endsWith("/displays")) {
      return "{\"name\":\"Another\"}";
    }
    if (path.endsWith("/undo") || path.endsWith("/redo")) {
      return "{\"version\":%d}".formatted(version);
    }
    Edit edit = edits.next(plan);
    String json = Json.MAPPER.writerFor(Edit.class).writeValueAsString(edit);
    return path.endsWith("/preview")
        ? "{\"edit\":" + json + "}"
        : "{\"version\":" + version + ",\"edit\":" + json + "}";
  }

  private String pick(List<String> from) {
    return from.get(random.nextInt(from.size()));
  }
}
