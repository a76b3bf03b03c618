package hamper.server.store;

/** A database that cannot be opened or restored, in one sentence that says what to do. */
public final class StoreException extends RuntimeException {
  StoreException(String message) {
    super(message);
  }

  StoreException(String message, Throwable cause) {
    super(message, cause);
  }
}
