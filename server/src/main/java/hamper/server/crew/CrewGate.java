package hamper.server.crew;

import hamper.server.safety.Gate;
import hamper.server.safety.Origins;
import hamper.server.safety.Refusal;
import hamper.server.store.CrewKey;
import hamper.server.store.StorageFailedException;
import jakarta.servlet.AsyncContext;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Arrays;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executor;
import java.util.concurrent.TimeUnit;
import org.springframework.http.HttpStatus;

/**
 * Who may come in by the crew door, and to what: pages for everybody, for they hold nothing of any
 * plan; of the API what {@link DoorPaths} lists, with a key that allows it; nothing else.
 */
final class CrewGate implements Gate {
  /** The key of the request, for whoever answers it. */
  static final String KEY = "hamper.crew.key";

  /** Holds the key, for no page to read. */
  static final String COOKIE = "hamper-crew";

  private static final Set<String> SAFE = Set.of("GET", "HEAD");
  private static final String POLICY =
      "default-src 'self'; img-src 'self' blob: data:; style-src 'self' 'unsafe-inline';"
          + " object-src 'none'; base-uri 'none'; form-action 'none'; frame-ancestors 'none'";
  private static final String LASTING = "public, max-age=31536000, immutable";

  /** The longest an answer takes that waits (ms). */
  private static final long LONGEST = 10_000;

  private final String host;
  private final CrewKeys keys;
  private final Guesses guesses;
  private final Optional<byte[]> authority;

  /**
   * @param host that every request has to name, such as "192.168.1.20:8090"
   * @param authority the certificate that phones are to trust, where there is one
   */
  CrewGate(String host, CrewKeys keys, Guesses guesses, Optional<byte[]> authority) {
    this.host = host;
    this.keys = keys;
    this.guesses = guesses;
    this.authority = authority;
  }

  @Override
  public boolean admits(HttpServletRequest request, HttpServletResponse response)
      throws IOException {
    response.setHeader("Content-Security-Policy", POLICY);
    response.setHeader("X-Content-Type-Options", "nosniff");
    response.setHeader("Referrer-Policy", "no-referrer");
    response.setHeader("Cache-Control", "no-store");
    String path = request.getRequestURI();
    boolean reads = SAFE.contains(request.getMethod());
    if (!host.equalsIgnoreCase(request.getHeader("Host"))) {
      Refusal.write(response, HttpStatus.MISDIRECTED_REQUEST, "The crew door is at " + host);
      return false;
    } else if (!reads && Origins.elsewhere(request, host)) {
      Refusal.write(response, HttpStatus.FORBIDDEN, "Changes are taken from Hamper's pages only");
      return false;
    } else if (path.startsWith("/crew/")) {
      return admitsToApi(request, response, path);
    }
    page(response, reads ? path : "");
    return false;
  }

  private boolean admitsToApi(HttpServletRequest request, HttpServletResponse response, String path)
      throws IOException {
    if (path.equals(DoorPaths.ENTER) && request.getMethod().equals("POST")) {
      return true;
    }
    Optional<DoorPaths.Allowed> allowed = DoorPaths.of(request.getMethod(), path);
    if (allowed.isEmpty()) {
      nothing(response);
      return false;
    }
    Optional<String> shown = cookie(request);
    Optional<CrewKey> key;
    try {
      key = shown.flatMap(keys::opening);
    } catch (StorageFailedException e) {
      Refusal.write(
          response,
          HttpStatus.SERVICE_UNAVAILABLE,
          "Keys cannot be read now: " + e.getMessage() + ". It is tried again with the next look");
      return false;
    }
    if (key.isEmpty()) {
      refuse(request, response, shown.isPresent());
      return false;
    }
    if (!allowed.get().covers(key.get())) {
      Refusal.write(
          response, HttpStatus.FORBIDDEN, "Your key does not allow this; ask whoever planned it");
      return false;
    }
    request.setAttribute(KEY, key.get());
    return true;
  }

  private static Optional<String> cookie(HttpServletRequest request) {
    Cookie[] cookies = request.getCookies();
    return cookies == null
        ? Optional.empty()
        : Arrays.stream(cookies)
            .filter(one -> one.getName().equals(COOKIE))
            .map(Cookie::getValue)
            .findFirst();
  }

  /** Without a key at once; with a wrong one slower and slower. */
  private void refuse(HttpServletRequest request, HttpServletResponse response, boolean wrong)
      throws IOException {
    Guesses.Answer answer = wrong ? guesses.wrong(request.getRemoteAddr()) : Guesses.Answer.AT_ONCE;
    switch (answer) {
      case AT_ONCE -> noKey(response);
      case TURNED_AWAY -> tooMany(response);
      case LATER -> later(request, response);
    }
  }

  private void later(HttpServletRequest request, HttpServletResponse response) {
    AsyncContext waiting = request.startAsync(request, response);
    waiting.setTimeout(LONGEST);
    // no thread waits for it
    Executor afterwards = CompletableFuture.delayedExecutor(Guesses.WAIT, TimeUnit.MILLISECONDS);
    afterwards.execute(
        () -> {
          guesses.answered();
          try {
            noKey(response);
            waiting.complete();
          } catch (IOException | IllegalStateException e) {
            // whoever guessed has gone
          }
        });
  }

  static void noKey(HttpServletResponse response) throws IOException {
    Refusal.write(
        response,
        HttpStatus.UNAUTHORIZED,
        "This needs a key that opens; ask whoever planned it for a link");
  }

  private static void tooMany(HttpServletResponse response) throws IOException {
    response.setHeader("Retry-After", "10");
    Refusal.write(
        response, HttpStatus.TOO_MANY_REQUESTS, "Too many wrong keys; wait, then open the link");
  }

  private static void nothing(HttpServletResponse response) throws IOException {
    Refusal.write(response, HttpStatus.NOT_FOUND, "There is nothing of that name at this door");
  }

  private void page(HttpServletResponse response, String path) throws IOException {
    Optional<CrewPages.File> file =
        path.equals(CrewDoor.AUTHORITY)
            ? authority.map(der -> new CrewPages.File(der, "application/x-x509-ca-cert", false))
            : CrewPages.find(path);
    if (file.isEmpty()) {
      nothing(response);
      return;
    }
    if (file.get().lasting()) {
      response.setHeader("Cache-Control", LASTING);
    } else {
      response.setHeader("Cache-Control", "no-cache");
    }
    response.setContentType(file.get().type());
    response.getOutputStream().write(file.get().bytes());
  }
}
