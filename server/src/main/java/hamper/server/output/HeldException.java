package hamper.server.output;

/** Somebody else lights it already. */
public final class HeldException extends RuntimeException {
  private static final long serialVersionUID = 1L;

  private final String piece;
  private final String who;

  HeldException(String piece, String who) {
    super("%s is lit by %s; choose other pieces, or stop that first".formatted(piece, who));
    this.piece = piece;
    this.who = who;
  }

  /** What both want. */
  public String piece() {
    return piece;
  }

  public String who() {
    return who;
  }
}
