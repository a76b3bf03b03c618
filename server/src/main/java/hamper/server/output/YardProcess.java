package hamper.server.output;

import hamper.standin.Place;
import hamper.standin.Seat;
import hamper.standin.Yard;
import hamper.wire.SerialUnits;
import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;

/**
 * Stand-ins in a process of their own: whoever kills Hamper does not kill them, and the next Hamper
 * of the same folder finds them as they are.
 */
public final class YardProcess implements StandInGround.Yard {
  private static final String WORD = "stand-ins.json";
  private static final Duration PATIENCE = Duration.ofSeconds(30);
  private static final long LOOK_MILLIS = 20;

  /** Loader of the program where it is packed in one file. */
  private static final String LAUNCHER = "org.springframework.boot.loader.launch.JarLauncher";

  private static final String PROGRAM = "hamper.server.cli.Hamper";

  private final Path word;
  private final HttpClient client =
      HttpClient.newBuilder().version(HttpClient.Version.HTTP_1_1).connectTimeout(PATIENCE).build();

  /**
   * @param folder where they leave word of themselves
   */
  public YardProcess(Path folder) {
    word = folder.toAbsolutePath().resolve(WORD);
  }

  @Override
  public synchronized Map<String, Place> seat(String display, List<Seat> seats)
      throws IOException, InterruptedException {
    Optional<String> found = find();
    String door = found.isPresent() ? found.get() : start();
    ArrayNode body = Door.JSON.createArrayNode();
    seats.forEach(
        seat -> body.addObject().put("controller", seat.controller()).set("model", seat.model()));
    HttpRequest request =
        at(door, "seats/" + display).PUT(BodyPublishers.ofString(body.toString())).build();
    var answer = client.send(request, BodyHandlers.ofString());
    JsonNode root = Door.JSON.readTree(answer.body());
    if (answer.statusCode() != 200) {
      throw new IOException("Stand-ins do not start: " + root.path("refused").asString(""));
    }
    return Yard.read(root);
  }

  @Override
  public synchronized int serialLine(String name, List<SerialUnits.Unit> units)
      throws IOException, InterruptedException {
    Optional<String> found = find();
    String door = found.isPresent() ? found.get() : start();
    HttpRequest request =
        at(door, "lines/" + name)
            .PUT(BodyPublishers.ofString(Door.JSON.writeValueAsString(units)))
            .build();
    var answer = client.send(request, BodyHandlers.ofString());
    JsonNode root = Door.JSON.readTree(answer.body());
    if (answer.statusCode() != 200) {
      throw new IOException("A line does not start: " + root.path("refused").asString(""));
    }
    return root.get("port").asInt();
  }

  private static HttpRequest.Builder at(String door, String what) {
    return HttpRequest.newBuilder(URI.create("http://%s/%s".formatted(door, what)))
        .timeout(PATIENCE);
  }

  /** The door of those that run already. */
  private Optional<String> find() throws InterruptedException {
    try {
      String door = Door.JSON.readTree(Files.readString(word)).path("door").asString("");
      Routes.numbers(door.substring(0, Math.max(0, door.indexOf(':'))));
      var answer = client.send(at(door, "").GET().build(), BodyHandlers.ofString());
      JsonNode root = Door.JSON.readTree(answer.body());
      boolean is = root.path("format").asString("").equals(Yard.FORMAT);
      return is && door.startsWith("127.") ? Optional.of(door) : Optional.empty();
    } catch (IOException | RuntimeException e) {
      return Optional.empty(); // none, or none any more
    }
  }

  private String start() throws IOException, InterruptedException {
    Files.createDirectories(word.getParent());
    Files.deleteIfExists(word);
    Process process = new ProcessBuilder(command()).redirectErrorStream(true).start();
    process.getOutputStream().close();
    process.getInputStream().close();
    long until = System.nanoTime() + PATIENCE.toNanos();
    while (System.nanoTime() < until && process.isAlive()) {
      Optional<String> door = Files.exists(word) ? find() : Optional.empty();
      if (door.isPresent()) {
        return door.get();
      }
      Thread.sleep(LOOK_MILLIS);
    }
    process.destroyForcibly();
    throw new IOException("Stand-ins do not start; ./hamper standins FILE says why");
  }

  private List<String> command() {
    List<String> command = new ArrayList<>();
    command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
    command.addAll(List.of("-XX:TieredStopAtLevel=1", "-XX:+UseSerialGC", "-Xmx512m"));
    command.addAll(archive());
    boolean packed =
        YardProcess.class.getClassLoader().getResource(LAUNCHER.replace('.', '/') + ".class")
            != null;
    command.addAll(List.of("-cp", System.getProperty("java.class.path")));
    command.add(packed ? LAUNCHER : PROGRAM);
    command.addAll(List.of("yard", word.toString()));
    return command;
  }

  /** The archive of loaded classes that this program was started with, for a quick start too. */
  private static List<String> archive() {
    return ManagementFactory.getRuntimeMXBean().getInputArguments().stream()
        .filter(one -> one.startsWith("-XX:SharedArchiveFile=") || one.startsWith("-Xlog:cds"))
        .toList();
  }

  /** Ends them, if there are any. */
  public synchronized void end() throws IOException, InterruptedException {
    Optional<String> door = find();
    if (door.isPresent()) {
      client.send(at(door.get(), "").DELETE().build(), BodyHandlers.discarding());
    }
  }
}
