package hamper.display;

import hamper.value.Require;
import java.util.Optional;

/**
 * A risk or hint that somebody takes. It lapses as soon as what it is about or a number in it
 * changes.
 *
 * @param identity of the finding; empty where it was accepted when findings had none, and is known
 *     by its words
 * @param code of the check
 * @param message of the finding
 * @param reason why it may be so
 */
public record Accepted(Optional<String> identity, String code, String message, String reason) {
  /** Longest message of a finding, in characters. */
  public static final int LONGEST_MESSAGE = 4000;

  /** Longest reason, in characters. */
  public static final int LONGEST_REASON = 400;

  public Accepted {
    identity.ifPresent(id -> Require.id("identity", id));
    Require.id("code", code);
    Require.text("message", message, LONGEST_MESSAGE);
    Require.text("reason", reason, LONGEST_REASON);
    Require.that(!reason.isBlank(), "reason", "nothing", "say why it may be so");
  }

  /** Whether it is about the same finding. */
  public boolean sameAs(Accepted other) {
    return identity.isPresent() && other.identity.isPresent()
        ? identity.equals(other.identity)
        : code.equals(other.code) && message.equals(other.message);
  }
}
