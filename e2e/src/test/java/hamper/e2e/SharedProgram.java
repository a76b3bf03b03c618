package hamper.e2e;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** One program for all tests that do not end it: its start takes longer than most of them. */
final class SharedProgram {
  static final Path DATA = folder();

  private static final Pattern ID = Pattern.compile("\"id\":\"([^\"]+)\"");
  private static final HttpClient CLIENT = HttpClient.newHttpClient();
  private static Program program;

  private SharedProgram() {}

  /** With the demo display anew, and no other; nothing is lit and no door is open. */
  static Program demo() throws IOException {
    empty();
    ask("POST", "/api/displays/demo");
    return program;
  }

  /** With no display at all; nothing is lit and no door is open. */
  static Program empty() throws IOException {
    if (program == null) {
      program = Program.empty(DATA);
    } else {
      tidy();
    }
    return program;
  }

  private static void tidy() throws IOException {
    ask("DELETE", "/api/output");
    ask("DELETE", "/api/door");
    for (String id : ids(ask("GET", "/api/displays"))) {
      ask("DELETE", "/api/displays/" + id);
    }
  }

  private static Iterable<String> ids(String list) {
    return ID.matcher(list).results().map(one -> one.group(1)).toList();
  }

  private static String ask(String method, String path) throws IOException {
    HttpRequest request =
        HttpRequest.newBuilder(URI.create(program.url + path))
            .header("Content-Type", "application/json")
            .method(method, BodyPublishers.noBody())
            .build();
    try {
      return CLIENT.send(request, BodyHandlers.ofString()).body();
    } catch (InterruptedException e) {
      throw new IOException(e);
    }
  }

  private static Path folder() {
    try {
      Path folder = Files.createTempDirectory("hamper-browser-tests");
      Runtime.getRuntime().addShutdownHook(new Thread(() -> end(folder)));
      return folder;
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }

  private static void end(Path folder) {
    if (program != null) {
      program.close();
    }
    try (Stream<Path> files = Files.walk(folder)) {
      files.sorted((a, b) -> b.compareTo(a)).forEach(file -> file.toFile().delete());
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }
}
