package hamper.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Who may come in by which Host, Origin and content type; each refusal in the shape of all. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class DoorsTest {
  private Started server;

  @BeforeAll
  void start(@TempDir Path data) {
    server = new Started(data);
  }

  @AfterAll
  void stop() {
    server.close();
  }

  @ParameterizedTest(name = "Host {0}, Origin {1}, {2}: {3}")
  @CsvSource({
    "localhost,,application/json,201",
    "127.0.0.1,,application/json,201",
    "[::1],,application/json,201",
    "LOCALHOST,,application/json,201",
    "evil.example,,application/json,421",
    "localhost.evil.example,,application/json,421",
    "127.0.0.1.nip.example,,application/json,421",
    "localhost,http://localhost:PORT,application/json,201",
    "localhost,http://localhost:1,application/json,403",
    "localhost,http://evil.example,application/json,403",
    "localhost,null,application/json,403",
    "localhost,not a url,application/json,403",
    "localhost,,*/*,415",
    "localhost,,application/*,415",
    "localhost,,json,415",
    "localhost,,text/plain,415",
    "localhost,,application/json;charset=utf-99,415",
  })
  void eachIsLetInOrRefusedInTheShapeOfAll(String host, String origin, String type, int status)
      throws IOException {
    int port = URI.create(server.base).getPort();
    String body = "{\"name\":\"Quay\"}";
    String request =
        "POST /api/displays HTTP/1.1\r\nHost: %s:%d\r\n%sContent-Type: %s\r\nContent-Length: %d\r\nConnection: close\r\n\r\n%s"
            .formatted(
                host,
                port,
                origin == null ? "" : "Origin: " + origin.replace("PORT", "" + port) + "\r\n",
                type,
                body.length(),
                body);
    String answer;
    try (Socket socket = new Socket("127.0.0.1", port)) {
      socket.getOutputStream().write(request.getBytes(StandardCharsets.US_ASCII));
      answer = new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    }
    assertThat(answer).startsWith("HTTP/1.1 " + status).contains("Cache-Control: no-store");
    if (status >= 400) {
      assertThat(answer)
          .contains("application/problem+json", "\"status\":" + status, "\"detail\":\"");
    }
  }

  @ParameterizedTest(name = "{0} {1}: {2}")
  @CsvSource({
    "GET,/api/none,404",
    "GET,/api/displays/none,404",
    "DELETE,/api/displays,405",
    "GET,/api/displays/%2e%2e%2f,400",
    "GET,/none.html,404",
  })
  void whatIsNotThereIsSaidInTheSameShape(String method, String path, int status) {
    Started.Answer answer =
        server.send(
            HttpRequest.newBuilder(URI.create(server.base + path))
                .method(method, BodyPublishers.noBody()));
    assertThat(answer.status()).isEqualTo(status);
    assertThat(answer.text()).doesNotContain("Exception", "Tomcat", "java.");
  }

  @Test
  void aBodyIsNotReadBeyondTheLargestThatIsTaken() {
    String edit = "{\"name\":\"" + "x".repeat(21 << 20) + "\"}";
    Started.Answer answer = server.post("/api/displays", edit);
    assertThat(answer.status()).isEqualTo(413);
    assertThat(answer.body().get("detail").asString()).contains("20,971,520 bytes");
  }
}
