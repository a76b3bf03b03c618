package hamper.server;

import hamper.server.Started.Answer;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import tools.jackson.databind.JsonNode;

/**
 * The real server and a real database file, one for all tests, which go one after another; each
 * test has the demo display anew, and leaves nothing lit, open or listed.
 */
abstract class ApiCase {
  /** Where the server keeps what it stores; deleted with the last test. */
  static final Path data = SharedServer.FOLDER;

  Started server;
  String display;

  @BeforeEach
  void start() {
    server = SharedServer.running();
    display = server.post("/api/displays/demo", "").body().get("id").asString();
  }

  @AfterEach
  void tidy() {
    SharedServer.tidy();
  }

  /** The same data in another run of the program. */
  void restart() {
    server.close();
    server = SharedServer.running();
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
