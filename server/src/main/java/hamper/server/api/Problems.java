package hamper.server.api;

import hamper.files.BadFileException;
import hamper.files.Refusals;
import hamper.server.crew.CrewDoor;
import hamper.server.crew.Entrance;
import hamper.server.handover.DeviceReader;
import hamper.server.live.NoSuchDisplayException;
import hamper.server.live.StaleVersionException;
import hamper.server.live.StartsMoveException;
import hamper.server.live.UnreadableDisplayException;
import hamper.server.output.HeldException;
import hamper.server.output.NotArmedException;
import hamper.server.output.Output;
import hamper.server.safety.BodyTooLargeException;
import hamper.server.store.StorageFailedException;
import hamper.value.RefusedException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Map;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import tools.jackson.core.JacksonException;

/** Every error in one shape (RFC 9457): what was wrong, the value, what is allowed. */
@RestControllerAdvice
@Order(Ordered.HIGHEST_PRECEDENCE)
class Problems {
  /** Most starts that are named where they have to move. */
  private static final int MOST_MOVING = 50;

  @ExceptionHandler
  ProblemDetail refused(RefusedException e) {
    ProblemDetail problem = problem(HttpStatus.UNPROCESSABLE_CONTENT, "Refused", e.getMessage());
    problem.setProperty("field", e.place());
    problem.setProperty("value", e.found());
    problem.setProperty("allowed", e.allowed());
    return problem;
  }

  @ExceptionHandler
  ProblemDetail badFile(BadFileException e) {
    ProblemDetail problem =
        problem(
            HttpStatus.UNPROCESSABLE_CONTENT,
            "This file cannot be used; nothing was stored",
            e.getMessage());
    List<Map<String, String>> reasons =
        e.reasons().stream()
            .map(reason -> Map.of("place", reason.place(), "message", reason.message()))
            .toList();
    problem.setProperty("reasons", reasons);
    return problem;
  }

  @ExceptionHandler
  ProblemDetail stale(StaleVersionException e) {
    ProblemDetail problem =
        problem(HttpStatus.CONFLICT, "The display has moved on", e.getMessage());
    problem.setProperty("version", e.version());
    problem.setProperty("since", e.since());
    problem.setProperty("overlaps", e.overlaps());
    return problem;
  }

  @ExceptionHandler
  ProblemDetail startsMove(StartsMoveException e) {
    ProblemDetail problem = problem(HttpStatus.CONFLICT, "Starts have to move", e.getMessage());
    problem.setProperty("moving", e.kept().moving().stream().limit(MOST_MOVING).toList());
    return problem;
  }

  @ExceptionHandler
  ProblemDetail unknown(NoSuchDisplayException e) {
    return problem(HttpStatus.NOT_FOUND, "Not found", e.getMessage());
  }

  @ExceptionHandler
  ProblemDetail unreadable(UnreadableDisplayException e) {
    return problem(
        HttpStatus.UNPROCESSABLE_CONTENT, "This display cannot be opened", e.getMessage());
  }

  /** The disk or the engine: nobody's request is wrong, and the same one may go through later. */
  @ExceptionHandler
  ProblemDetail failed(StorageFailedException e) {
    boolean unknown = e.outcome() == StorageFailedException.Outcome.UNKNOWN;
    ProblemDetail problem =
        problem(
            HttpStatus.SERVICE_UNAVAILABLE,
            unknown
                ? "It is not known whether this was stored"
                : "Nothing was stored, nothing can be stored now",
            e.getMessage() + ". Hamper tries again with the next change.");
    problem.setProperty("outcome", e.outcome().name());
    return problem;
  }

  @ExceptionHandler
  ProblemDetail busy(Output.BusyException e) {
    return problem(HttpStatus.CONFLICT, "That cannot be done while it is so", e.getMessage());
  }

  @ExceptionHandler
  ProblemDetail showIsOn(GivingController.ShowIsOnException e) {
    ProblemDetail problem = problem(HttpStatus.CONFLICT, "The show is on", e.getMessage());
    problem.setProperty("showIsOn", true);
    return problem;
  }

  @ExceptionHandler
  ProblemDetail unread(DeviceReader.UnreadException e) {
    return problem(HttpStatus.CONFLICT, "The device cannot be read", e.getMessage());
  }

  @ExceptionHandler
  ProblemDetail held(HeldException e) {
    ProblemDetail problem = problem(HttpStatus.CONFLICT, "Somebody else lights it", e.getMessage());
    problem.setProperty("piece", e.piece());
    problem.setProperty("who", e.who());
    return problem;
  }

  @ExceptionHandler
  ProblemDetail notArmed(NotArmedException e) {
    return problem(HttpStatus.CONFLICT, "It does not move", e.getMessage());
  }

  @ExceptionHandler
  ProblemDetail noOutput(UncheckedIOException e) {
    return problem(HttpStatus.SERVICE_UNAVAILABLE, "Nothing can be sent", e.getMessage());
  }

  @ExceptionHandler
  ProblemDetail tooMany(Followers.TooManyException e) {
    return problem(HttpStatus.TOO_MANY_REQUESTS, "Too many windows", e.getMessage());
  }

  @ExceptionHandler
  ProblemDetail doorClosed(CrewDoor.ClosedException e) {
    return problem(HttpStatus.CONFLICT, "That cannot be done while it is so", e.getMessage());
  }

  @ExceptionHandler
  ProblemDetail wrongKey(Entrance.WrongKeyException e) {
    HttpStatus status = e.turnedAway() ? HttpStatus.TOO_MANY_REQUESTS : HttpStatus.UNAUTHORIZED;
    return problem(status, "No key that opens", e.getMessage());
  }

  /** Numbers that each are allowed, and together are more than can be counted. */
  @ExceptionHandler
  ProblemDetail tooLarge(ArithmeticException e) {
    return problem(
        HttpStatus.UNPROCESSABLE_CONTENT,
        "Refused",
        "The numbers are too large together to be worked out; choose smaller ones");
  }

  @ExceptionHandler
  ProblemDetail unreadable(HttpMessageNotReadableException e) {
    if (e.getMostSpecificCause() instanceof BodyTooLargeException large) {
      return problem(HttpStatus.CONTENT_TOO_LARGE, "Too large", large.getMessage());
    }
    if (e.getCause() instanceof JacksonException json) {
      return refused(Refusals.of(json));
    }
    return problem(HttpStatus.BAD_REQUEST, "Unreadable", "The body is missing or not JSON");
  }

  private static ProblemDetail problem(HttpStatus status, String title, String detail) {
    ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, detail);
    problem.setTitle(title);
    return problem;
  }
}
