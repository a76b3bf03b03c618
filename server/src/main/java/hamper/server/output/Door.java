package hamper.server.output;

import hamper.standin.Place;
import hamper.value.Foreign;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.ConnectException;
import java.net.ProxySelector;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublisher;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.net.http.HttpTimeoutException;
import java.time.Duration;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The HTTP doors of stand-ins: docs/formats/giving.md. No redirects, no proxy. */
public final class Door {
  public static final JsonMapper JSON = new JsonMapper();

  /** Longest reason that is told (characters). */
  private static final int MOST_WHY = 500;

  /** Longest answer that is read (bytes). */
  private static final int MOST_BYTES = 32 << 20;

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
      String why = Foreign.line(body.path("refused").asString(""), MOST_WHY);
      return status == 200 ? "" : why.isEmpty() ? "status " + status : why;
    }

    /** Whether the device broke down over it, which is no refusal. */
    public boolean failed() {
      return status >= 500;
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
    // the time of the request ends with the head of the answer, and a body may trickle for ever
    CompletableFuture<HttpResponse<InputStream>> head =
        client.sendAsync(request, BodyHandlers.ofInputStream());
    CompletableFuture<Answer> answer = head.thenApplyAsync(Door::read);
    try {
      return answer.get(PATIENCE.toSeconds(), TimeUnit.SECONDS);
    } catch (TimeoutException e) {
      throw new HttpTimeoutException("no whole answer in " + PATIENCE.toSeconds() + " s");
    } catch (ExecutionException e) {
      throw failed(e.getCause() instanceof UncheckedIOException of ? of.getCause() : e.getCause());
    } finally {
      if (!answer.isDone()) {
        head.thenAccept(Door::close);
        head.cancel(true);
      }
    }
  }

  /** The same, thrown from here. */
  private static IOException failed(Throwable cause) {
    IOException told =
        cause instanceof ConnectException
            ? new ConnectException(cause.getMessage())
            : cause instanceof HttpTimeoutException
                ? new HttpTimeoutException(cause.getMessage())
                : new IOException(cause.getMessage());
    told.initCause(cause);
    return told;
  }

  private static Answer read(HttpResponse<InputStream> answer) {
    try (InputStream in = answer.body()) {
      return new Answer(answer.statusCode(), JSON.readTree(in.readNBytes(MOST_BYTES)));
    } catch (JacksonException e) {
      throw new UncheckedIOException(new IOException("its answer is no JSON", e));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static void close(HttpResponse<InputStream> answer) {
    try {
      answer.body().close();
    } catch (IOException e) {
      // it was given up already
    }
  }
}
