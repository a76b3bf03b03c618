package hamper.server.api;

import hamper.server.live.Displays;
import hamper.server.output.Output;
import hamper.value.Require;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.Optional;
import java.util.Set;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Light on stand-ins: one sender for all windows. */
@RestController
@RequestMapping("/api/output")
@Tag(name = "output")
class OutputController {
  private final Displays displays;
  private final Output output;

  OutputController(Displays displays, Output output) {
    this.displays = displays;
    this.output = output;
  }

  /**
   * White on all light of a display.
   *
   * @param display its id
   * @param percent of full, 0..100
   * @param ceiling most that is sent, percent; left out: 30
   * @param seconds after which it ends by itself, 1..1800; left out: 1800
   * @param storage ids of controllers that play their own storage and are to be sent to all the
   *     same
   */
  record OutputRequest(
      String display,
      int percent,
      Optional<Integer> ceiling,
      Optional<Integer> seconds,
      Optional<Set<String>> storage) {
    OutputRequest {
      Require.inRange("percent", percent, 0, 100);
      Require.inRange("ceiling", ceiling, 0, 100);
      Require.inRange("seconds", seconds, 1, Output.USUAL_SECONDS);
    }

    Output.Wanted wanted() {
      return new Output.Wanted(
          percent,
          ceiling.orElse(Output.USUAL_CEILING),
          seconds.orElse(Output.USUAL_SECONDS),
          storage.orElse(Set.of()));
    }
  }

  @PostMapping
  @Operation(summary = "Light a display's stand-ins; 409 while anything is lit")
  Output.OutputState start(@RequestBody OutputRequest request) {
    var look = displays.get(request.display()).look();
    return output.start(request.display(), look.facts(), request.wanted());
  }

  @GetMapping
  @Operation(summary = "What is being sent, or was last; 204 before the first")
  ResponseEntity<Output.OutputState> now() {
    return output.now().map(ResponseEntity::ok).orElseGet(() -> ResponseEntity.noContent().build());
  }

  @DeleteMapping
  @Operation(summary = "Stop whatever is sent, from whatever window")
  ResponseEntity<Void> stop() throws InterruptedException {
    output.stop();
    return ResponseEntity.noContent().build();
  }
}
