package hamper.standin;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.io.InputStream;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.Executor;
import tools.jackson.databind.JsonNode;

/** The HTTP door of a device. docs/formats/giving.md. */
final class GivingDoor {
  /** Longest document (bytes). */
  static final int MOST_BYTES = 8 << 20;

  private static final int MOST_SWITCH_BYTES = 4096;
  private static final long SLOW_MILLIS = 500;

  private final Device device;
  private final HttpServer server;

  /**
   * @throws IOException where the address is taken
   */
  GivingDoor(Device device, InetSocketAddress at, Executor executor) throws IOException {
    this.device = device;
    server = QuickServer.at(at);
    server.setExecutor(executor);
    server.createContext("/", this::answer);
  }

  int port() {
    return server.getAddress().getPort();
  }

  void open() {
    server.start();
  }

  void close() {
    server.stop(0);
  }

  private void answer(HttpExchange exchange) throws IOException {
    try (exchange) {
      if (isFromPage(exchange)) {
        refuse(exchange, 403, "no pages of a browser");
        return;
      }
      if (misbehaves(exchange)) {
        return;
      }
      String asked = exchange.getRequestMethod() + " " + exchange.getRequestURI().getPath();
      switch (asked) {
        case "GET /identity" -> send(exchange, 200, device.identity());
        case "GET /state" -> send(exchange, 200, device.state());
        case "GET /counters" -> send(exchange, 200, device.counters());
        case "GET /configuration" -> read(exchange);
        case "PUT /configuration" -> take(exchange);
        case "GET /misbehaviour" -> send(exchange, 200, misbehaviours());
        case "PUT /misbehaviour" -> misbehave(exchange);
        case "PUT /test" -> test(exchange);
        case "POST /keep" -> keep(exchange);
        case "POST /restart" -> {
          device.restart();
          send(exchange, 200, device.identity());
        }
        default -> {
          if (asked.matches("(GET|PUT) /fixtures/DMX/\\d{1,3}")) {
            fixtures(exchange, "DMX " + asked.substring(asked.lastIndexOf('/') + 1));
          } else if (asked.matches("PUT /card/DMX/\\d{1,3}")) {
            card(exchange, "DMX " + asked.substring(asked.lastIndexOf('/') + 1));
          } else {
            refuse(exchange, 404, asked + " is not known here");
          }
        }
      }
    }
  }

  /** A page of somebody else, open in a browser here, has no business with devices. */
  private static boolean isFromPage(HttpExchange exchange) {
    return exchange.getRequestHeaders().containsKey("Origin");
  }

  /** A device without power answers nothing, but for the switch that gives it back. */
  private boolean misbehaves(HttpExchange exchange) throws IOException {
    boolean isSwitch = exchange.getRequestURI().getPath().equals("/misbehaviour");
    if (device.misbehaves(Misbehaviour.SLOW)) {
      try {
        Thread.sleep(SLOW_MILLIS);
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
      }
    }
    if (device.misbehaves(Misbehaviour.OFF) && !isSwitch) {
      refuse(exchange, 503, "no power");
      return true;
    }
    return false;
  }

  private JsonNode misbehaviours() {
    var root = Device.JSON.createObjectNode();
    for (Misbehaviour one : Misbehaviour.values()) {
      root.put(one.key(), device.misbehaves(one));
    }
    return root;
  }

  private void misbehave(HttpExchange exchange) throws IOException {
    try (InputStream in = exchange.getRequestBody()) {
      JsonNode body = Device.JSON.readTree(in.readNBytes(MOST_SWITCH_BYTES));
      for (var one : body.properties()) {
        device.misbehave(Misbehaviour.of(one.getKey()), one.getValue().asBoolean(false));
      }
      send(exchange, 200, misbehaviours());
    } catch (RuntimeException e) {
      refuse(exchange, 422, "an object of misbehaviours, each true or false, such as dead-pixel");
    }
  }

  private void test(HttpExchange exchange) throws IOException {
    try (InputStream in = exchange.getRequestBody()) {
      device.test(Device.JSON.readTree(in.readNBytes(MOST_SWITCH_BYTES)).get("on").asBoolean());
      send(exchange, 200, device.identity());
    } catch (RuntimeException e) {
      refuse(exchange, 422, "an object with on, true or false");
    }
  }

  private void card(HttpExchange exchange, String line) throws IOException {
    try (InputStream in = exchange.getRequestBody()) {
      device.card(line, in.readNBytes(MOST_BYTES));
      send(exchange, 200, device.identity());
    } catch (Device.RefusedException e) {
      refuse(exchange, 422, e.getMessage());
    }
  }

  private void fixtures(HttpExchange exchange, String line) throws IOException {
    try (InputStream in = exchange.getRequestBody()) {
      if (exchange.getRequestMethod().equals("PUT")) {
        device.fixtures(line, in.readNBytes(MOST_BYTES));
      }
      send(exchange, 200, device.fixtures(line));
    } catch (Device.RefusedException e) {
      refuse(exchange, 422, e.getMessage());
    }
  }

  private void read(HttpExchange exchange) throws IOException {
    JsonNode document = device.document();
    if (document == null) {
      refuse(exchange, 404, "No configuration was taken yet");
    } else {
      send(exchange, 200, document);
    }
  }

  private void keep(HttpExchange exchange) throws IOException {
    if (device.keep()) {
      send(exchange, 200, device.identity());
    } else {
      refuse(exchange, 409, "There is nothing that it could keep");
    }
  }

  private void take(HttpExchange exchange) throws IOException {
    byte[] body;
    try (InputStream in = exchange.getRequestBody()) {
      body = in.readNBytes(MOST_BYTES + 1);
    }
    if (body.length > MOST_BYTES) {
      refuse(exchange, 413, "A document has at most %d bytes".formatted(MOST_BYTES));
      return;
    }
    try {
      String fingerprint = device.take(body);
      if (device.misbehaves(Misbehaviour.VANISHES)) {
        device.misbehave(Misbehaviour.OFF, true);
        return; // nobody hears that it took it
      }
      send(exchange, 200, Device.JSON.createObjectNode().put("fingerprint", fingerprint));
    } catch (Device.RefusedException e) {
      refuse(exchange, 422, e.getMessage());
    }
  }

  private static void refuse(HttpExchange exchange, int status, String why) throws IOException {
    send(exchange, status, Device.JSON.createObjectNode().put("refused", why));
  }

  private static void send(HttpExchange exchange, int status, JsonNode body) throws IOException {
    byte[] bytes = body.toString().getBytes(StandardCharsets.UTF_8);
    exchange.getResponseHeaders().set("Content-Type", "application/json");
    exchange.sendResponseHeaders(status, bytes.length);
    exchange.getResponseBody().write(bytes);
  }
}
