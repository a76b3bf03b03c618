package hamper.server.store;

/**
 * The disk or the database failed while the program was running. The engine has been closed; it is
 * opened again at the next attempt.
 */
public final class StorageFailedException extends RuntimeException {
  /** What is known of a change that failed. */
  public enum Outcome {
    /** It may or may not be in the file; the next look at the display tells. */
    UNKNOWN,
    /** It was not begun. */
    NOT_STORED
  }

  private final Outcome outcome;

  StorageFailedException(Outcome outcome, String message, Throwable cause) {
    super(message, cause);
    this.outcome = outcome;
  }

  public Outcome outcome() {
    return outcome;
  }
}
