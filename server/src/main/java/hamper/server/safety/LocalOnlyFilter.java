package hamper.server.safety;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Optional;
import java.util.Set;
import org.springframework.http.HttpStatus;
import org.springframework.http.InvalidMediaTypeException;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Keeps strangers out of a program that trusts whoever sits at the machine: the Host header has to
 * name this machine (no DNS rebinding), and whatever changes something has to come from our own
 * pages. Who comes by another port has to pass its gate, and a port that is neither is answered by
 * nobody.
 */
@Component
class LocalOnlyFilter extends OncePerRequestFilter {
  private static final Set<String> LOCAL = Set.of("localhost", "127.0.0.1", "[::1]");
  private static final Set<String> SAFE = Set.of("GET", "HEAD", "OPTIONS");
  private static final String POLICY =
      "default-src 'self'; img-src 'self' data:; style-src 'self' 'unsafe-inline';"
          + " object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

  private final Gates gates;

  LocalOnlyFilter(Gates gates) {
    this.gates = gates;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    int port = request.getLocalPort();
    if (port == gates.ownPort()) {
      own(request, response, chain);
      return;
    }
    Optional<Gate> gate = gates.at(port);
    if (gate.isEmpty()) {
      Refusal.write(response, HttpStatus.NOT_FOUND, "Hamper does not answer here");
    } else if (gate.get().admits(request, response)) {
      chain.doFilter(request, response);
    }
  }

  private static void own(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    response.setHeader("Content-Security-Policy", POLICY);
    response.setHeader("X-Content-Type-Options", "nosniff");
    response.setHeader("Referrer-Policy", "no-referrer");
    if (request.getRequestURI().startsWith("/api")) {
      response.setHeader("Cache-Control", "no-store");
    }
    String host = request.getHeader("Host");
    if (host == null || !LOCAL.contains(withoutPort(host))) {
      Refusal.write(response, HttpStatus.MISDIRECTED_REQUEST, "Hamper answers on localhost only");
    } else if (request.getRequestURI().startsWith("/crew")) {
      Refusal.write(response, HttpStatus.NOT_FOUND, "The crew comes in by its own door");
    } else if (!SAFE.contains(request.getMethod()) && Origins.elsewhere(request, host)) {
      Refusal.write(
          response, HttpStatus.FORBIDDEN, "Changes are taken from Hamper's own pages only");
    } else if (!saysWhatItSends(request.getContentType())) {
      Refusal.write(
          response,
          HttpStatus.UNSUPPORTED_MEDIA_TYPE,
          "The content type is none; send application/json, or a file as application/octet-stream");
    } else {
      chain.doFilter(request, response);
    }
  }

  private static boolean saysWhatItSends(String contentType) {
    try {
      return contentType == null || MediaType.parseMediaType(contentType).isConcrete();
    } catch (InvalidMediaTypeException e) {
      return false;
    }
  }

  private static String withoutPort(String host) {
    return host.replaceFirst(":\\d+$", "").toLowerCase();
  }
}
