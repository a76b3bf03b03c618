package hamper.server.safety;

import java.io.IOException;

/** A body is longer than any that is taken. */
public final class BodyTooLargeException extends IOException {
  BodyTooLargeException(long most) {
    super("The body is larger than %,d bytes, the most that is taken".formatted(most));
  }
}
