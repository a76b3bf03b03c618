package hamper.server.safety;

import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RequestMapping;

/** What nobody else answered: a mistake of ours goes to the log, and the answer says so. */
@Controller
@Hidden
class ErrorPage implements ErrorController {
  private static final Logger LOG = LoggerFactory.getLogger(ErrorPage.class);

  @RequestMapping("/error")
  void error(HttpServletRequest request, HttpServletResponse response) throws IOException {
    HttpStatus status = status(request);
    if (request.getAttribute(RequestDispatcher.ERROR_EXCEPTION) instanceof Throwable mistake) {
      LOG.error("{}", request.getAttribute(RequestDispatcher.ERROR_REQUEST_URI), mistake);
    }
    Refusal.write(
        response,
        status,
        status.is5xxServerError()
            ? "Hamper failed, which is a mistake in the program; what it said stands in its log"
            : "Hamper does not answer such a request");
  }

  private static HttpStatus status(HttpServletRequest request) {
    HttpStatus told =
        request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE) instanceof Integer code
            ? HttpStatus.resolve(code)
            : HttpStatus.NOT_FOUND;
    return told == null ? HttpStatus.BAD_REQUEST : told;
  }
}
