package hamper.server.live;

/** Nothing has this id. */
public final class NoSuchDisplayException extends RuntimeException {
  public NoSuchDisplayException(String what, String id) {
    super("No %s has the id \"%s\"".formatted(what, id));
  }
}
