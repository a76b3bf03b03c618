package hamper.server;

import hamper.server.Started.Answer;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** The real server and a real database file with the demo display in it, for each test anew. */
abstract class ApiCase {
  @TempDir Path data;
  Started server;
  String display;

  @BeforeEach
  void start() {
    server = new Started(data);
    display = server.post("/api/displays/demo", "").body().get("id").asString();
  }

  @AfterEach
  void stop() {
    server.close();
  }

  /** The same data in another run of the program. */
  void restart() {
    server.close();
    server = new Started(data);
  }

  String path(String below) {
    return "/api/displays/" + display + below;
  }

  JsonNode whole() {
    return server.get(path("")).body();
  }

  int version() {
    return whole().get("version").asInt();
  }

  /** An edit on the latest version. */
  Answer edit(String json) {
    return edit(version(), json);
  }

  Answer edit(int version, String json) {
    return server.post(path("/edits"), "{\"version\":%d,\"edit\":%s}".formatted(version, json));
  }

  Answer undo() {
    return server.post(path("/undo"), "{\"version\":%d}".formatted(version()));
  }
}
