package hamper.server;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.files.Json;
import hamper.server.Started.Answer;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublisher;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.time.Duration;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;

/** A server with the crew door open, and phones that come in by it. */
abstract class CrewCase extends ApiCase {
  final HttpClient client = HttpClient.newHttpClient();
  String origin;

  JsonNode open(boolean secure) {
    Answer opened =
        server.put(
            "/api/door",
            "{\"address\": \"127.0.0.1\", \"port\": 0, \"secure\": %s, \"hours\": 2}"
                .formatted(secure));
    assertThat(opened.status()).as(opened.text()).isEqualTo(200);
    origin = opened.body().at("/open/origin").asString();
    return opened.body().get("open");
  }

  /** A key that was made for somebody. */
  record Key(String id, String secret) {}

  Key key(String... rights) {
    String may =
        Stream.of(rights).map("\"%s\""::formatted).collect(Collectors.joining(",", "[", "]"));
    Answer made =
        server.post(
            path("/crew-keys"),
            "{\"name\": \"Ladder two\", \"may\": %s, \"days\": 3}".formatted(may));
    assertThat(made.status()).as(made.text()).isEqualTo(200);
    String link = made.body().get("link").asString();
    assertThat(link).startsWith(origin + "/#");
    return new Key(made.body().at("/key/id").asString(), link.substring(link.indexOf('#') + 1));
  }

  HttpResponse<String> send(String method, String path, String secret, String json) {
    return send(
        method,
        path,
        secret,
        "application/json",
        json == null ? BodyPublishers.noBody() : BodyPublishers.ofString(json));
  }

  HttpResponse<String> send(
      String method, String path, String secret, String type, BodyPublisher body) {
    HttpRequest.Builder request =
        HttpRequest.newBuilder(URI.create(origin + path))
            .timeout(Duration.ofSeconds(20))
            .header("Content-Type", type)
            .header("Hamper-Who", "Tom%C3%A1s")
            .method(method, body);
    if (secret != null) {
      request.header("Cookie", "hamper-crew=" + secret);
    }
    try {
      return client.send(request.build(), BodyHandlers.ofString());
    } catch (IOException | InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  static JsonNode json(HttpResponse<String> answer) {
    assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
    return Json.MAPPER.readTree(answer.body());
  }
}
