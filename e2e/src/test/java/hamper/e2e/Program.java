package hamper.e2e;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The real program in a process of its own, started as a user starts it. */
final class Program implements AutoCloseable {
  /** As it is unpacked for a quicker start, with the classes that it loads. */
  private static final Path APP = Path.of("../server/target/app");

  private static final Pattern READY = Pattern.compile("ready: (http://localhost:(\\d+))");

  private final Process process;
  final String url;
  final int port;

  private Program(Process process, Matcher ready) {
    this.process = process;
    this.url = ready.group(1);
    this.port = Integer.parseInt(ready.group(2));
  }

  /**
   * @param port 0 for any free one
   */
  static Program demo(Path data, int port) throws IOException {
    return started(List.of(), "demo", data, port);
  }

  /**
   * On another host.
   *
   * @param before what goes before a command so that it runs there
   */
  static Program demoOn(List<String> before, Path data) throws IOException {
    return started(before, "demo", data, 0);
  }

  /** With no display at all. */
  static Program empty(Path data) throws IOException {
    return started(List.of(), "serve", data, 0);
  }

  private static Program started(List<String> before, String command, Path data, int port)
      throws IOException {
    Process process = start(before, command, "--port", "" + port, "--data", data.toString());
    BufferedReader out = reader(process);
    List<String> told = new ArrayList<>();
    for (String line = out.readLine(); line != null; line = out.readLine()) {
      told.add(line);
      Matcher ready = READY.matcher(line);
      if (ready.find()) {
        return new Program(process, ready);
      }
    }
    throw new IllegalStateException("The program ended:\n" + String.join("\n", told));
  }

  /** Runs a command to its end; answers exit code and everything it said. */
  static String run(String... args) throws IOException, InterruptedException {
    Process process = start(List.of(), args);
    String said = String.join("\n", reader(process).lines().toList());
    process.waitFor(30, TimeUnit.SECONDS);
    return process.exitValue() + ": " + said;
  }

  private static Process start(List<String> before, String... args) throws IOException {
    List<String> command = new ArrayList<>(before);
    command.addAll(
        List.of(
            Path.of(System.getProperty("java.home"), "bin", "java").toString(),
            "-XX:TieredStopAtLevel=1", // it is started often and runs shortly
            "-XX:CICompilerCount=1",
            "-XX:+UseSerialGC",
            "-XX:SharedArchiveFile=" + APP.resolve("hamper.jsa").toAbsolutePath(),
            "-Xlog:cds=off",
            "-Xlog:cds+dynamic=off",
            "-jar",
            APP.resolve("hamper-app.jar").toString()));
    command.addAll(Arrays.asList(args));
    return new ProcessBuilder(command).redirectErrorStream(true).start();
  }

  private static BufferedReader reader(Process process) {
    return new BufferedReader(
        new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8));
  }

  /** Memory that it has in RAM (MiB). */
  long memory() throws IOException {
    return Files.readAllLines(Path.of("/proc/%d/status".formatted(process.pid()))).stream()
        .filter(line -> line.startsWith("VmRSS"))
        .mapToLong(line -> Long.parseLong(line.replaceAll("\\D", "")) / 1024)
        .findFirst()
        .orElse(0);
  }

  /** SIGKILL: no shutdown hook runs, nothing is flushed. */
  void kill() {
    process.destroyForcibly();
    ended();
  }

  @Override
  public void close() {
    process.destroy();
    if (!ended()) {
      kill();
    }
  }

  private boolean ended() {
    try {
      return process.waitFor(20, TimeUnit.SECONDS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return false;
    }
  }
}
