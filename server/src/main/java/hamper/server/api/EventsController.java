package hamper.server.api;

import hamper.server.live.Displays;
import hamper.server.store.DisplayStore.Listed;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.stream.Collectors;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** What happens to all displays, as it happens. */
@RestController
@Tag(name = "displays")
class EventsController {
  private final Displays displays;
  private final Followers followers;

  EventsController(Displays displays, Followers followers) {
    this.displays = displays;
    this.followers = followers;
  }

  @GetMapping(path = "/api/events", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
  @Operation(
      summary =
          "Follow what other windows do: hello with the version of each display, then each step as"
              + " {display, delta}; lost where a step could not be told; door when"
              + " the crew door was opened or closed")
  SseEmitter follow() {
    return followers.open(
        () ->
            new Followers.Hello(
                displays.list().stream().collect(Collectors.toMap(Listed::id, Listed::version))));
  }
}
