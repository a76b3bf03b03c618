package hamper.capture;

/** A file that is no capture which can be read; the message is one sentence. */
public final class CaptureException extends Exception {
  private static final long serialVersionUID = 1L;

  CaptureException(String message) {
    super(message);
  }
}
