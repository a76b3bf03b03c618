package hamper.server.api;

import hamper.value.Foreign;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/**
 * The name that a window says of whoever sits at it, with each request; there are no accounts, and
 * nothing depends on it.
 */
final class Who {
  /** UTF-8, written as in an address: a header carries nothing else. */
  static final String HEADER = "Hamper-Who";

  private static final int LONGEST = 40;

  private Who() {}

  /** Of the request that is being answered; empty where it says none that can be read. */
  static String now() {
    RequestAttributes request = RequestContextHolder.getRequestAttributes();
    String said =
        request instanceof ServletRequestAttributes servlet
            ? servlet.getRequest().getHeader(HEADER)
            : null;
    if (said == null) {
      return "";
    }
    try {
      return Foreign.line(URLDecoder.decode(said, StandardCharsets.UTF_8), LONGEST);
    } catch (IllegalArgumentException e) {
      return "";
    }
  }
}
