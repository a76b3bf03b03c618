package hamper.server.live;

import hamper.value.RefusedException;

/** What is stored of a display makes none; the other displays are not concerned. */
public final class UnreadableDisplayException extends RuntimeException {
  UnreadableDisplayException(String name, Throwable cause) {
    super(
        "The display \"%s\" cannot be read from the database: %s. The others can; its last good state is in the daily copies, see hamper restore"
            .formatted(name, reason(cause)),
        cause);
  }

  /** What the core refuses is told with its place; all else would speak of the inside. */
  private static String reason(Throwable cause) {
    return cause instanceof RefusedException
        ? cause.getMessage()
        : "what stands in its rows is not known to this version";
  }
}
