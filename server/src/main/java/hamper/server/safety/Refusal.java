package hamper.server.safety;

import hamper.files.Json;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;

/** An error in the shape of all others (RFC 9457), where no controller has been reached. */
public final class Refusal {
  private Refusal() {}

  public static void write(HttpServletResponse response, HttpStatus status, String detail)
      throws IOException {
    Map<String, Object> problem = new LinkedHashMap<>();
    problem.put("title", status.getReasonPhrase());
    problem.put("status", status.value());
    problem.put("detail", detail);
    response.setStatus(status.value());
    response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
    response
        .getOutputStream()
        .write(Json.MAPPER.writeValueAsString(problem).getBytes(StandardCharsets.UTF_8));
  }
}
