package hamper.server.safety;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;

/** A way in from elsewhere, told apart by the port that it listens on, never by a header. */
public interface Gate {
  /**
   * Whether a request may go on to who answers it; one that may not has been answered here, or will
   * be.
   */
  boolean admits(HttpServletRequest request, HttpServletResponse response) throws IOException;
}
