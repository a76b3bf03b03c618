package hamper.bench;

import hamper.display.Plan;
import hamper.files.CatalogueFiles;
import hamper.files.DisplayFile;
import hamper.files.Json;
import hamper.samples.LargeDisplays;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse.BodyHandlers;
import java.util.Arrays;
import tools.jackson.databind.JsonNode;

/**
 * How long a running server takes to answer an edit on a display of so many strings: arguments are
 * its address, on this machine, and the number of strings. docs/performance.md says how to run it.
 */
public final class EditLatency {
  /** Until the server's code is compiled; what the first of them take is told apart. */
  private static final int WARM = 400;

  private static final int FIRST = 60;
  private static final int MEASURED = 200;
  private static final int STRINGS_A_CONTROLLER = 40;

  private final HttpClient client = HttpClient.newHttpClient();
  private final String base;

  private EditLatency(String base) {
    this.base = base;
  }

  /** Adds a display to the server and leaves it there. */
  public static void main(String[] args) throws Exception {
    int strings = args.length > 1 ? Integer.parseInt(args[1]) : 2000;
    new EditLatency(args.length > 0 ? args[0] : "http://localhost:8080").measure(strings);
  }

  private void measure(int strings) throws IOException, InterruptedException {
    // strings have two and a half sections on average
    int sections = strings * 5 / 2;
    int controllers = Math.max(1, strings / STRINGS_A_CONTROLLER);
    Plan plan = LargeDisplays.of(CatalogueFiles.shipped(), controllers, sections, 10, 1);
    byte[] file = DisplayFile.write(plan.display());
    String id = post("/api/displays/import", new String(file)).get("id").asString();
    String piece = plan.display().props().get(7).pieces().get(0).id();
    double[] millis = new double[WARM + MEASURED];
    for (int i = 0; i < WARM + MEASURED; i++) {
      String edit =
          "{\"version\":%d,\"edit\":{\"type\":\"SetSections\",\"sections\":[{\"piece\":\"%s\",\"index\":0}],"
                  .formatted(i + 1, piece)
              + "\"set\":{\"pixels\":%d}}}".formatted(10 + i % 2);
      long begin = System.nanoTime();
      post("/api/displays/" + id + "/edits", edit);
      millis[i] = (System.nanoTime() - begin) / 1e6;
    }
    double[] first = sorted(millis, 0, FIRST);
    double[] warm = sorted(millis, WARM, WARM + MEASURED);
    System.out.printf(
        "%d strings: median %.1f ms, nine of ten under %.1f ms; median of the first %d edits %.1f ms%n",
        plan.display().props().size(),
        warm[MEASURED / 2],
        warm[MEASURED * 9 / 10],
        FIRST,
        first[FIRST / 2]);
  }

  private static double[] sorted(double[] all, int from, int to) {
    double[] part = Arrays.copyOfRange(all, from, to);
    Arrays.sort(part);
    return part;
  }

  private JsonNode post(String path, String json) throws IOException, InterruptedException {
    var answer =
        client.send(
            HttpRequest.newBuilder(URI.create(base + path))
                .header("Content-Type", "application/json")
                .POST(BodyPublishers.ofString(json))
                .build(),
            BodyHandlers.ofString());
    if (answer.statusCode() >= 300) {
      throw new IOException(answer.statusCode() + ": " + answer.body());
    }
    return Json.MAPPER.readTree(answer.body());
  }
}
