package hamper.standin;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import hamper.wire.SerialUnits;
import java.io.IOException;
import java.io.InputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * The stand-ins of several displays in a process of their own, with a door at which they are
 * seated. It leaves word of itself in a file, and ends when that is gone, when it is told to, or
 * when nobody has asked for a day. Where there is no room for one display more, that for which
 * nobody has asked for longest goes.
 */
public final class Yard implements AutoCloseable {
  /** What a door says that it is. */
  public static final String FORMAT = "hamper-yard";

  /** Each takes a block of addresses, some fifty open files, and some megabytes of its memory. */
  private static final int MOST_DISPLAYS = 24;

  private static final int MOST_BYTES = 8 << 20;
  private static final long LOOK_MILLIS = 1_000;
  private static final long IDLE_NANOS = TimeUnit.DAYS.toNanos(1);

  private final Path word;
  private final HttpServer server;

  /** Most displays at a time. */
  private final int most;

  /** In the order in which somebody asked for them last. */
  private final Map<String, StandIns> displays = new LinkedHashMap<>(16, 0.75f, true);

  private final Map<String, SerialLine> lines = new HashMap<>();
  private final CountDownLatch end = new CountDownLatch(1);
  private volatile long asked = System.nanoTime();

  private Yard(Path word, int most) throws IOException {
    this.word = word;
    this.most = most;
    server = QuickServer.at(new InetSocketAddress(InetAddress.getByName("127.0.0.1"), 0));
    server.setExecutor(
        Executors.newSingleThreadExecutor(
            work -> {
              Thread thread = new Thread(work, "yard");
              thread.setDaemon(true);
              return thread;
            }));
    server.createContext("/", this::answer);
    server.start();
  }

  /**
   * Opens the door, and leaves word of it.
   *
   * @param word the file: pid and address of the door
   */
  public static Yard open(Path word) throws IOException {
    return open(word, MOST_DISPLAYS);
  }

  /**
   * @param most displays at a time
   */
  static Yard open(Path word, int most) throws IOException {
    Yard yard = new Yard(word, most);
    ObjectNode root =
        Device.JSON
            .createObjectNode()
            .put("format", FORMAT)
            .put("pid", ProcessHandle.current().pid())
            .put("door", "127.0.0.1:" + yard.server.getAddress().getPort());
    Path beside = word.resolveSibling(word.getFileName() + ".new");
    Files.writeString(beside, root.toString());
    Files.move(beside, word, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
    return yard;
  }

  /** Waits until there is nothing left to do. */
  public void await() throws InterruptedException {
    while (!end.await(LOOK_MILLIS, TimeUnit.MILLISECONDS)) {
      if (!isOurs() || System.nanoTime() - asked > IDLE_NANOS) {
        return;
      }
    }
  }

  /** Whether the word is still there, and of this process. */
  private boolean isOurs() {
    try {
      JsonNode root = Device.JSON.readTree(Files.readString(word));
      return root.path("pid").asLong(0) == ProcessHandle.current().pid();
    } catch (IOException | RuntimeException e) {
      return false;
    }
  }

  /** The answer to a seating: where each controller's stand-in is. */
  public static Map<String, Place> read(JsonNode answer) {
    Map<String, Place> places = new LinkedHashMap<>();
    answer.properties().forEach(one -> places.put(one.getKey(), Place.read(one.getValue())));
    return places;
  }

  private void answer(HttpExchange exchange) throws IOException {
    try (exchange) {
      asked = System.nanoTime();
      String what = exchange.getRequestMethod() + " " + exchange.getRequestURI().getPath();
      if (exchange.getRequestHeaders().containsKey("Origin")) {
        send(exchange, 403, refused("no pages of a browser"));
      } else if (what.equals("GET /")) {
        send(exchange, 200, Device.JSON.createObjectNode().put("format", FORMAT));
      } else if (what.startsWith("PUT /seats/")) {
        seat(exchange, what.substring("PUT /seats/".length()));
      } else if (what.startsWith("PUT /lines/")) {
        line(exchange, what.substring("PUT /lines/".length()));
      } else if (what.equals("DELETE /")) {
        send(exchange, 200, Device.JSON.createObjectNode());
        end.countDown();
      } else {
        send(exchange, 404, refused(what + " is not known here"));
      }
    }
  }

  private static ObjectNode refused(String why) {
    return Device.JSON.createObjectNode().put("refused", why);
  }

  private void seat(HttpExchange exchange, String display) throws IOException {
    try (InputStream in = exchange.getRequestBody()) {
      List<Seat> seats = new ArrayList<>();
      for (JsonNode one : Device.JSON.readTree(in.readNBytes(MOST_BYTES))) {
        seats.add(new Seat(one.get("controller").asString(), one.get("model")));
      }
      StandIns standIns = displays.get(display);
      if (standIns == null) {
        standIns = start(seats);
        displays.put(display, standIns);
      } else {
        standIns.seat(seats);
      }
      ObjectNode root = Device.JSON.createObjectNode();
      standIns.places().forEach((controller, place) -> root.set(controller, place.json()));
      send(exchange, 200, root);
    } catch (IOException | RuntimeException e) {
      send(exchange, 500, refused(e.getMessage()));
    }
  }

  private StandIns start(List<Seat> seats) throws IOException {
    while (displays.size() >= most) {
      letOneGo();
    }
    try {
      return StandIns.start(seats, Clock.system());
    } catch (IOException e) {
      if (displays.isEmpty()) {
        throw e;
      }
      letOneGo(); // others on this computer may have taken what it needs
      return StandIns.start(seats, Clock.system());
    }
  }

  private void letOneGo() {
    Iterator<StandIns> all = displays.values().iterator();
    all.next().close();
    all.remove();
  }

  /** Hangs packs on a serial line; answers the TCP port that stands for it. */
  private void line(HttpExchange exchange, String name) throws IOException {
    try (InputStream in = exchange.getRequestBody()) {
      List<SerialUnits.Unit> units = new ArrayList<>();
      for (JsonNode one : Device.JSON.readTree(in.readNBytes(MOST_BYTES))) {
        units.add(
            new SerialUnits.Unit(
                one.get("number").asInt(),
                one.get("circuits").asInt(),
                one.get("serial").asString(),
                one.get("maker").asString(),
                one.get("model").asString()));
      }
      SerialLine line = lines.get(name);
      if (line == null) {
        line = SerialLine.of(units);
        lines.put(name, line);
      } else {
        line.hang(units);
      }
      send(exchange, 200, Device.JSON.createObjectNode().put("port", line.port()));
    } catch (IOException | RuntimeException e) {
      send(exchange, 500, refused(e.getMessage()));
    }
  }

  private static void send(HttpExchange exchange, int status, JsonNode body) throws IOException {
    byte[] bytes = body.toString().getBytes(StandardCharsets.UTF_8);
    exchange.getResponseHeaders().set("Content-Type", "application/json");
    exchange.sendResponseHeaders(status, bytes.length);
    exchange.getResponseBody().write(bytes);
  }

  @Override
  public void close() throws IOException {
    if (isOurs()) {
      Files.deleteIfExists(word);
    }
    server.stop(0);
    displays.values().forEach(StandIns::close);
    for (SerialLine line : lines.values()) {
      line.close();
    }
  }
}
