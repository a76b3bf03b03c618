package hamper.server.output;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import hamper.display.Plan;
import hamper.facts.Facts;
import hamper.files.CatalogueFiles;
import hamper.server.live.DemoDisplay;
import hamper.server.output.Giving.Outcome;
import hamper.server.output.Giving.Result;
import hamper.standin.Place;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Executors;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/**
 * A device may answer anything; giving ends in a state that is true, with words that can be kept.
 */
class NonsenseDeviceTest {
  private static final String IDENTITY =
      "{\"model\":\"ostrand-five\",\"address\":\"127.0.0.1\",\"serial\":\"A\\u0000\\u202E1\"}";

  /** Status and body by method and path; a body of null: the connection is cut. */
  private record Reply(int status, String body) {}

  private final Map<String, Reply> replies = new HashMap<>();
  private final Giving giving = new Giving(new Door(), UnaryOperator.identity());
  private HttpServer server;
  private Place at;
  private int begun;

  @BeforeEach
  void open() throws IOException {
    server = HttpServer.create(new InetSocketAddress(InetAddress.getByName("127.0.0.1"), 0), 0);
    server.setExecutor(Executors.newCachedThreadPool());
    server.createContext("/", this::answer);
    server.start();
    at = new Place("127.0.0.1", server.getAddress().getPort(), 1, 1, 1);
    replies.put("GET /identity", new Reply(200, IDENTITY));
    replies.put("GET /configuration", new Reply(404, "{\"refused\":\"none\"}"));
  }

  @AfterEach
  void close() {
    server.stop(0);
  }

  private void answer(HttpExchange exchange) throws IOException {
    try (exchange) {
      exchange.getRequestBody().readAllBytes();
      Reply reply =
          replies.get(exchange.getRequestMethod() + " " + exchange.getRequestURI().getPath());
      if (reply == null || reply.body() == null) {
        return;
      }
      byte[] bytes = reply.body().getBytes(StandardCharsets.UTF_8);
      exchange.sendResponseHeaders(reply.status(), bytes.length);
      exchange.getResponseBody().write(bytes);
    }
  }

  private Outcome give() throws InterruptedException {
    Facts facts =
        Facts.withoutPower(
            new Plan(DemoDisplay.read(CatalogueFiles.shipped()), CatalogueFiles.shipped()));
    begun = 0;
    return giving.give(
        at, Giving.all(facts).get("k2"), new Giving.Known(Optional.empty(), () -> begun++, true));
  }

  @Test
  void whatIsNoAnswerLeavesItUntouchedOrUnknown() throws InterruptedException {
    replies.put("GET /identity", new Reply(200, "<html>hello</html>"));
    assertThat(give().result()).isEqualTo(Result.AWAY);
    assertThat(begun).as("nothing was sent").isZero();
    replies.put("GET /identity", new Reply(200, IDENTITY));
    replies.put("PUT /configuration", new Reply(200, null));
    assertThat(give().result()).as("cut off").isEqualTo(Result.LOST);
    assertThat(begun).isEqualTo(1);
    replies.put("PUT /configuration", new Reply(500, "{}"));
    assertThat(give().result()).as("broken down").isEqualTo(Result.LOST);
    replies.put("PUT /configuration", new Reply(200, "{}"));
    assertThat(give().result()).as("it says yes, and has nothing").isEqualTo(Result.DIFFERENT);
    replies.put("GET /configuration", new Reply(200, "[1, 2]"));
    assertThat(give().result()).isEqualTo(Result.DIFFERENT);
  }

  @Test
  void whatItSaysIsKeptWithoutWhatCannotBeSeen() throws InterruptedException {
    replies.put(
        "PUT /configuration",
        new Reply(422, "{\"refused\":\"no\\nroom \\u202E" + "x".repeat(5_000) + "\"}"));
    Outcome refused = give();
    assertThat(refused.result()).isEqualTo(Result.REFUSED);
    assertThat(refused.why()).startsWith("no·room ·xxx").hasSizeLessThanOrEqualTo(500);
    assertThat(refused.serial()).isEqualTo("A··1");
  }

  @Test
  void oneThatIsNotThereIsAway() throws InterruptedException {
    server.stop(0);
    Outcome away = give();
    assertThat(away.result()).isEqualTo(Result.AWAY);
    assertThat(away.why()).isEqualTo("it is not there");
  }
}
