package hamper.server.live;

/** What is stored of a display makes none; the other displays are not concerned. */
public final class UnreadableDisplayException extends RuntimeException {
  UnreadableDisplayException(String name, Throwable cause) {
    super(
        "The display \"%s\" cannot be read from the database: %s. The others can; its last good state is in the daily copies, see hamper restore"
            .formatted(name, reason(cause)),
        cause);
  }

  private static String reason(Throwable cause) {
    String message = cause.getMessage();
    return message == null
        ? "a value is missing"
        : message.lines().findFirst().orElse("").replaceAll("\\.$", "");
  }
}
