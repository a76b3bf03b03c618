package hamper.server;

import hamper.files.Json;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Path;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;

/** The real server on a free port and a real H2 file, talked to over HTTP. */
final class Started implements AutoCloseable {
  private final ConfigurableApplicationContext context;
  private final HttpClient client = HttpClient.newHttpClient();
  final String base;

  Started(Path data) {
    context = Server.start(0, data);
    base = "http://localhost:" + context.getEnvironment().getProperty("local.server.port");
  }

  /** Status and body of an answer; the body is missing where it is not JSON. */
  record Answer(int status, JsonNode body, String text) {}

  Answer get(String path) {
    return send(HttpRequest.newBuilder(URI.create(base + path)));
  }

  Answer post(String path, String json) {
    return send(
        HttpRequest.newBuilder(URI.create(base + path))
            .header("Content-Type", "application/json")
            .POST(BodyPublishers.ofString(json)));
  }

  Answer post(String path, byte[] bytes) {
    return send(
        HttpRequest.newBuilder(URI.create(base + path))
            .header("Content-Type", "application/json")
            .POST(BodyPublishers.ofByteArray(bytes)));
  }

  Answer delete(String path) {
    return send(HttpRequest.newBuilder(URI.create(base + path)).DELETE());
  }

  Answer send(HttpRequest.Builder request) {
    try {
      HttpResponse<String> answer = client.send(request.build(), BodyHandlers.ofString());
      String type = answer.headers().firstValue("content-type").orElse("");
      JsonNode body =
          type.contains("json") ? Json.MAPPER.readTree(answer.body()) : Json.MAPPER.missingNode();
      return new Answer(answer.statusCode(), body, answer.body());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  /** A part of the running server. */
  <T> T part(Class<T> type) {
    return context.getBean(type);
  }

  Answer put(String path, String json) {
    return send(
        HttpRequest.newBuilder(URI.create(base + path))
            .header("Content-Type", "application/json")
            .PUT(BodyPublishers.ofString(json)));
  }

  /** As a window does that has said a name. */
  Answer putAs(String who, String path, String json) {
    return send(
        HttpRequest.newBuilder(URI.create(base + path))
            .header("Content-Type", "application/json")
            .header("Hamper-Who", who)
            .PUT(BodyPublishers.ofString(json)));
  }

  boolean isRunning() {
    return context.isActive();
  }

  HttpClient client() {
    return client;
  }

  @Override
  public void close() {
    context.close();
  }
}
