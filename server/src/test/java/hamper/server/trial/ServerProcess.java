package hamper.server.trial;

import hamper.server.JavaProgram;
import hamper.server.store.EngineSetting;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A server in a process of its own, which can be killed. With {@code -Dhamper.trial.jar} it is that
 * of an earlier version, to see that a trial finds what was wrong with it.
 */
final class ServerProcess {
  private static final Pattern READY = Pattern.compile("ready: http://localhost:(\\d+)");
  private static final Duration PATIENCE = Duration.ofSeconds(60);

  private final Process process;
  private final HttpClient client =
      HttpClient.newBuilder().version(HttpClient.Version.HTTP_1_1).connectTimeout(PATIENCE).build();
  private final List<String> said = new ArrayList<>();
  private String base;

  private ServerProcess(Process process) {
    this.process = process;
  }

  /** Starts one at production settings. */
  static ServerProcess usual(Path folder) throws IOException {
    ServerProcess server =
        start(folder, EngineSetting.PRODUCTION.retentionMillis(), false, List.of());
    if (!server.ready()) {
      throw new IllegalStateException("It does not start:\n" + server.said());
    }
    return server;
  }

  /**
   * Begins to start one; {@link #ready} waits for it.
   *
   * @param quickDays whether days last a second
   * @param before what the command begins with
   */
  static ServerProcess start(Path folder, int retention, boolean quickDays, List<String> before)
      throws IOException {
    List<String> command = new ArrayList<>(before);
    List<String> options = List.of("-XX:+UseParallelGC", "-Xmx1g");
    String jar = System.getProperty("hamper.trial.jar");
    if (jar == null) {
      String[] how = {folder.toString(), "" + retention, "" + quickDays};
      command.addAll(JavaProgram.of(options, TrialServer.class, how));
    } else {
      String url =
          "jdbc:h2:file:%s;WRITE_DELAY=0;DB_CLOSE_ON_EXIT=FALSE;RETENTION_TIME=%d"
              .formatted(folder.resolve("hamper").toAbsolutePath(), retention);
      command.add(JavaProgram.java());
      command.addAll(options);
      command.addAll(
          List.of("-Dspring.datasource.url=" + url, "-jar", jar, "serve", "--port", "0"));
      command.addAll(List.of("--data", folder.toString()));
    }
    return new ServerProcess(new ProcessBuilder(command).redirectErrorStream(true).start());
  }

  /**
   * Waits until it answers.
   *
   * @return false where it ended instead, be it that it was killed
   */
  boolean ready() throws IOException {
    BufferedReader out =
        new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8));
    for (String line = out.readLine(); line != null; line = out.readLine()) {
      said.add(line);
      Matcher ready = READY.matcher(line);
      if (ready.find()) {
        base = "http://localhost:" + ready.group(1);
        Thread rest = new Thread(() -> hearAll(out));
        rest.setDaemon(true);
        rest.start();
        return true;
      }
    }
    return false;
  }

  private void hearAll(BufferedReader out) {
    try {
      out.lines().forEach(this::hear);
    } catch (UncheckedIOException e) {
      // it has ended
    }
  }

  private synchronized void hear(String line) {
    said.add(line);
  }

  synchronized String said() {
    return String.join("\n", said);
  }

  long pid() {
    return process.pid();
  }

  String base() {
    return base;
  }

  HttpResponse<String> get(String path) throws IOException {
    return send(HttpRequest.newBuilder(URI.create(base + path)));
  }

  HttpResponse<String> post(String path, String body) throws IOException {
    return send(
        HttpRequest.newBuilder(URI.create(base + path))
            .header("Content-Type", "application/json")
            .POST(BodyPublishers.ofString(body)));
  }

  HttpResponse<String> send(HttpRequest.Builder request) throws IOException {
    try {
      return client.send(request.timeout(PATIENCE).build(), BodyHandlers.ofString());
    } catch (InterruptedException e) {
      throw new IOException(e);
    }
  }

  /** SIGKILL: nothing is flushed, no hook runs. */
  void kill() throws InterruptedException {
    process.destroyForcibly();
    process.waitFor();
  }

  /** As Ctrl+C does it. */
  void end() throws InterruptedException {
    process.destroy();
    if (!process.waitFor(30, TimeUnit.SECONDS)) {
      throw new IllegalStateException("It does not end:\n" + said());
    }
  }
}
