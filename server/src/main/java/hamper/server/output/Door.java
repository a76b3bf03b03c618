package hamper.server.output;

import hamper.standin.Place;
import java.io.IOException;
import java.net.ProxySelector;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublisher;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.time.Duration;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The HTTP doors of stand-ins: docs/formats/giving.md. No redirects, no proxy. */
public final class Door {
  public static final JsonMapper JSON = new JsonMapper();
  private static final Duration PATIENCE = Duration.ofSeconds(10);

  private final HttpClient client =
      HttpClient.newBuilder()
          .version(HttpClient.Version.HTTP_1_1)
          .followRedirects(HttpClient.Redirect.NEVER)
          .proxy(ProxySelector.of(null))
          .connectTimeout(PATIENCE)
          .build();

  /**
   * @param status of HTTP
   */
  public record Answer(int status, JsonNode body) {
    /** Why it was refused; empty where it was not. */
    public String refused() {
      return status == 200 ? "" : body.path("refused").asString("status " + status);
    }
  }

  public Answer get(Place at, String what) throws IOException, InterruptedException {
    return ask(at, what, "GET", BodyPublishers.noBody());
  }

  public Answer put(Place at, String what, byte[] body) throws IOException, InterruptedException {
    return ask(at, what, "PUT", BodyPublishers.ofByteArray(body));
  }

  public Answer post(Place at, String what) throws IOException, InterruptedException {
    return ask(at, what, "POST", BodyPublishers.noBody());
  }

  private Answer ask(Place at, String what, String method, BodyPublisher body)
      throws IOException, InterruptedException {
    URI uri = URI.create("http://%s:%d/%s".formatted(at.address(), at.door(), what));
    HttpRequest request =
        HttpRequest.newBuilder(uri).timeout(PATIENCE).method(method, body).build();
    HttpResponse<byte[]> answer = client.send(request, BodyHandlers.ofByteArray());
    return new Answer(answer.statusCode(), JSON.readTree(answer.body()));
  }
}
