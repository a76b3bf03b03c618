package hamper.server.safety;

import jakarta.servlet.http.HttpServletRequest;
import java.net.URI;

/** Whose page a request comes from, as the browser says. */
public final class Origins {
  private Origins() {}

  /**
   * @param host that the request names, with its port
   */
  public static boolean elsewhere(HttpServletRequest request, String host) {
    String origin = request.getHeader("Origin");
    if (origin == null) {
      return "cross-site".equals(request.getHeader("Sec-Fetch-Site"));
    }
    try {
      return !host.equalsIgnoreCase(URI.create(origin).getAuthority());
    } catch (IllegalArgumentException e) {
      return true;
    }
  }
}
