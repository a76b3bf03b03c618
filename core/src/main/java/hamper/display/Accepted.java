package hamper.display;

import hamper.value.Require;

/**
 * A risk or hint that somebody takes. It is kept word for word, so that it lapses as soon as a name
 * or number in it changes.
 *
 * @param code of the check
 * @param message of the finding
 * @param reason why it may be so
 */
public record Accepted(String code, String message, String reason) {
  /** Longest message of a finding, in characters. */
  public static final int LONGEST_MESSAGE = 4000;

  /** Longest reason, in characters. */
  public static final int LONGEST_REASON = 400;

  public Accepted {
    Require.id("code", code);
    Require.text("message", message, LONGEST_MESSAGE);
    Require.text("reason", reason, LONGEST_REASON);
    Require.that(!reason.isBlank(), "reason", "nothing", "say why it may be so");
  }

  /** Whether it is about the same finding. */
  public boolean sameAs(Accepted other) {
    return code.equals(other.code) && message.equals(other.message);
  }
}
