package hamper.server.trial;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.display.Display;
import hamper.display.Plan;
import hamper.display.Workshop;
import hamper.edit.Edit;
import hamper.files.CatalogueFiles;
import hamper.files.DisplayFile;
import hamper.files.Json;
import hamper.samples.RandomEdits;
import hamper.samples.RandomWorkshopEdits;
import hamper.samples.Trial;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Random;

/**
 * A display as it has to be: each step that the server acknowledged is made here too, by the core
 * alone, and nothing ever happens to it.
 */
final class Twin {
  private static final double UNDONE = 0.12;
  private static final double OF_THE_WORKSHOP = 0.92;

  private final String path;
  private final RandomEdits edits;
  private final RandomWorkshopEdits workshop;
  private final Random random;
  private final Deque<Plan> undo = new ArrayDeque<>();
  private final Deque<Plan> redo = new ArrayDeque<>();
  private Plan plan;
  private int version;

  /** A step that was sent and not answered. */
  private Runnable pending;

  /** Steps that were acknowledged. */
  private int acknowledged;

  private Twin(String path, Plan plan, int version, long seed) {
    this.path = path;
    this.plan = plan;
    this.version = version;
    this.edits = new RandomEdits(seed);
    this.workshop = new RandomWorkshopEdits(seed);
    this.random = new Random(seed);
  }

  /** Adds a demo display to the server, and makes its twin. */
  static Twin begin(ServerProcess server, long seed) throws IOException {
    String id =
        Json.MAPPER.readTree(server.post("/api/displays/demo", "").body()).get("id").asString();
    String path = "/api/displays/" + id;
    return new Twin(path, read(server, path), 1, seed);
  }

  private static Plan read(ServerProcess server, String path) throws IOException {
    byte[] file = server.get(path + "/file").body().getBytes(StandardCharsets.UTF_8);
    return DisplayFile.read(file, CatalogueFiles.shipped());
  }

  /** Where the API has it. */
  String path() {
    return path;
  }

  int acknowledged() {
    return acknowledged;
  }

  /**
   * Makes one more step: an edit, undo or redo.
   *
   * @return false where the server says that its disk failed; {@link #compare} then tells what
   *     became of it
   */
  boolean step(ServerProcess server) throws IOException {
    double chance = random.nextDouble();
    if (chance < UNDONE && !undo.isEmpty()) {
      return send(server, "/undo", "{\"version\":%d}", () -> back(undo, redo));
    } else if (chance < UNDONE * 3 / 2 && !redo.isEmpty()) {
      return send(server, "/redo", "{\"version\":%d}", () -> back(redo, undo));
    } else {
      Edit edit = chance > OF_THE_WORKSHOP ? workshop.next(plan) : edits.next(plan);
      String json = Json.MAPPER.writerFor(Edit.class).writeValueAsString(edit);
      return send(
          server,
          "/edits",
          "{\"version\":%d,\"edit\":" + json.replace("%", "%%") + "}",
          () -> make(edit));
    }
  }

  private void back(Deque<Plan> from, Deque<Plan> to) {
    to.push(plan);
    Plan earlier = from.pop();
    // numbers that tags had once are not free again
    Workshop restored = earlier.display().workshop().restoredOver(plan.display().workshop());
    plan = earlier.with(earlier.display().withWorkshop(restored));
  }

  private void make(Edit edit) {
    undo.push(plan);
    redo.clear();
    plan = edit.applyTo(plan).plan();
  }

  private boolean send(ServerProcess server, String below, String body, Runnable step)
      throws IOException {
    pending = step;
    HttpResponse<String> answer = server.post(path + below, body.formatted(version));
    if (answer.statusCode() == 503) {
      Trial.say("%s", answer.body());
      if (answer.body().contains("\"outcome\":\"NOT_STORED\"")) {
        pending = null;
      }
      return false;
    }
    if (answer.statusCode() != 200) {
      throw new AssertionError(answer.statusCode() + ": " + answer.body());
    }
    took();
    acknowledged++;
    return true;
  }

  private void took() {
    pending.run();
    pending = null;
    version++;
  }

  /**
   * Compares; a step that was never answered may be in or not.
   *
   * @return acknowledged steps that are missing
   */
  int compare(ServerProcess server) throws IOException {
    int found = Json.MAPPER.readTree(server.get(path).body()).get("version").asInt();
    if (pending != null && found == version + 1) {
      took();
    }
    pending = null;
    if (found < version) {
      return version - found;
    }
    assertThat(found).as("version of %s", path).isEqualTo(version);
    Display stored = read(server, path).display();
    assertThat(stored).as("the display after version %d", version).isEqualTo(plan.display());
    return 0;
  }
}
