package hamper.server.output;

/** Something does not move, and stays at its safe state. */
public final class NotArmedException extends RuntimeException {
  private static final long serialVersionUID = 1L;

  NotArmedException(String piece, String why) {
    super("%s stays at its safe state: %s".formatted(piece, why));
  }
}
