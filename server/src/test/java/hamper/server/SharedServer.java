package hamper.server;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.util.FileSystemUtils;
import tools.jackson.databind.JsonNode;

/** The one server of all tests of a run: starting one takes longer than most tests. */
final class SharedServer {
  static final Path FOLDER = folder();

  private static Started server;

  private SharedServer() {}

  /** It as it runs; started where it does not. */
  static synchronized Started running() {
    if (server == null || !server.isRunning()) {
      server = new Started(FOLDER);
    }
    return server;
  }

  /** Nothing is lit, no door is open, no display is listed. */
  static synchronized void tidy() {
    running().delete("/api/output");
    running().delete("/api/door");
    for (JsonNode one : running().get("/api/displays").body()) {
      running().delete("/api/displays/" + one.get("id").asString());
    }
  }

  private static Path folder() {
    try {
      Path folder = Files.createTempDirectory("hamper-tests");
      Runtime.getRuntime().addShutdownHook(new Thread(() -> end(folder)));
      return folder;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static synchronized void end(Path folder) {
    try {
      if (server != null) {
        server.close();
      }
      FileSystemUtils.deleteRecursively(folder);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
