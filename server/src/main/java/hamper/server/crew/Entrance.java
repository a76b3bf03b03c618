package hamper.server.crew;

import hamper.server.store.CrewKey;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import org.springframework.http.ResponseCookie;
import org.springframework.stereotype.Component;

/** Where a key is shown, and exchanged for what a browser keeps from every page. */
@Component
public final class Entrance {
  private static final int LONGEST_KEY = 100;

  private final CrewKeys keys;
  private final Guesses guesses;

  Entrance(CrewKeys keys, Guesses guesses) {
    this.keys = keys;
    this.guesses = guesses;
  }

  /** A key that opens nothing. */
  public static final class WrongKeyException extends RuntimeException {
    private static final long serialVersionUID = 1L;
    private final boolean turnedAway;

    WrongKeyException(boolean turnedAway) {
      super(
          turnedAway
              ? "Too many wrong keys; wait, then open the link"
              : "This key does not open, or not any more; ask whoever planned it for a link");
      this.turnedAway = turnedAway;
    }

    /** Whether it was not worth an answer, for there were too many. */
    public boolean turnedAway() {
      return turnedAway;
    }
  }

  /**
   * Holds a key against those that were made.
   *
   * @return fails with {@link WrongKeyException}, later and later
   */
  public CompletableFuture<CrewKey> show(String secret, HttpServletRequest request) {
    Optional<CrewKey> key = secret.length() > LONGEST_KEY ? Optional.empty() : keys.opening(secret);
    if (key.isPresent()) {
      return CompletableFuture.completedFuture(key.get());
    }
    Guesses.Answer answer = guesses.wrong(request.getRemoteAddr());
    if (answer != Guesses.Answer.LATER) {
      return CompletableFuture.failedFuture(
          new WrongKeyException(answer == Guesses.Answer.TURNED_AWAY));
    }
    return CompletableFuture.supplyAsync(
        () -> {
          guesses.answered();
          throw new WrongKeyException(false);
        },
        CompletableFuture.delayedExecutor(Guesses.WAIT, TimeUnit.MILLISECONDS));
  }

  /** What a browser keeps of a key, and shows to nobody but this door. */
  public static String cookie(String secret, CrewKey key, boolean secure) {
    return ResponseCookie.from(CrewGate.COOKIE, secret)
        .httpOnly(true)
        .sameSite("Strict")
        .secure(secure)
        .path("/crew")
        .maxAge(java.time.Duration.between(java.time.Instant.now(), key.until()))
        .build()
        .toString();
  }

  /** The key by which a request came in. */
  public static CrewKey of(HttpServletRequest request) {
    return (CrewKey) request.getAttribute(CrewGate.KEY);
  }
}
