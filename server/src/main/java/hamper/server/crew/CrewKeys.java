package hamper.server.crew;

import hamper.server.store.CrewKey;
import hamper.server.store.CrewKey.Right;
import hamper.server.store.CrewKeyStore;
import hamper.value.Require;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.time.Duration;
import java.time.Instant;
import java.util.Base64;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.CopyOnWriteArrayList;
import org.springframework.stereotype.Component;

/** Keys by which the crew comes in: made, held against what is shown, withdrawn. */
@Component
public final class CrewKeys {
  /** Of a key (bytes): 256 bits, which nobody guesses. */
  private static final int BYTES = 32;

  /** Longest time that a key opens (days): a season. */
  public static final int MOST_DAYS = 120;

  private static final int MOST_OF_A_DISPLAY = 200;

  private final CrewKeyStore store;
  private final SecureRandom random = new SecureRandom();
  private final List<Runnable> followers = new CopyOnWriteArrayList<>();

  CrewKeys(CrewKeyStore store) {
    this.store = store;
  }

  /**
   * A key that was just made.
   *
   * @param secret the key itself, which is told this once
   */
  public record Made(CrewKey key, String secret) {}

  public Made make(String display, String name, Set<Right> may, int days) {
    Require.inRange("days", days, 1, MOST_DAYS);
    Require.inRange("keys", (int) of(display).stream().count() + 1, 1, MOST_OF_A_DISPLAY);
    byte[] bytes = new byte[BYTES];
    random.nextBytes(bytes);
    String secret = Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
    Instant now = Instant.now();
    CrewKey key =
        new CrewKey(
            UUID.randomUUID().toString(),
            display,
            name,
            may,
            now,
            now.plus(Duration.ofDays(days)),
            Optional.empty());
    store.add(key, hash(secret));
    return new Made(key, secret);
  }

  /** Those of a display, the latest first, also those that open no more. */
  public List<CrewKey> of(String display) {
    return store.of(display);
  }

  /** What a key opens, if it does. */
  public Optional<CrewKey> opening(String secret) {
    return store.byHash(hash(secret)).filter(key -> key.opens(Instant.now()));
  }

  /** Who came in by it is out at once. */
  public void withdraw(String display, String id) {
    store.withdraw(display, id, Instant.now());
    followers.forEach(Runnable::run);
  }

  /** Tells somebody that keys were withdrawn. */
  public void follow(Runnable follower) {
    followers.add(follower);
  }

  private static String hash(String secret) {
    try {
      byte[] digest =
          MessageDigest.getInstance("SHA-256").digest(secret.getBytes(StandardCharsets.UTF_8));
      return HexFormat.of().formatHex(digest);
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e); // every Java has it
    }
  }
}
