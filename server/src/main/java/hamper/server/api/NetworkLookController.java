package hamper.server.api;

import hamper.catalog.DeviceModel;
import hamper.facts.Facts;
import hamper.server.handover.Seasons;
import hamper.server.live.Displays;
import hamper.server.live.LiveDisplay;
import hamper.server.network.CaptureView;
import hamper.server.network.Captures;
import hamper.server.network.Listening;
import hamper.server.network.Listenings;
import hamper.server.network.WhoRuns;
import hamper.server.output.Ground;
import hamper.server.output.StandInGround;
import hamper.value.RefusedException;
import hamper.value.Require;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Looking at the network: who is there, what arrives, what was captured. Nothing is kept. */
@RestController
@RequestMapping("/api/displays/{id}")
@Tag(name = "network")
class NetworkLookController {
  private static final int MOST_STRANGERS = 20;

  private final Displays displays;
  private final WhoRuns who;
  private final Listenings listenings;
  private final Captures captures;
  private final Seasons seasons;
  private final Ground ground;

  NetworkLookController(
      Displays displays,
      WhoRuns who,
      Listenings listenings,
      Captures captures,
      Seasons seasons,
      Ground ground) {
    this.displays = displays;
    this.who = who;
    this.listenings = listenings;
    this.captures = captures;
    this.seasons = seasons;
    this.ground = ground;
  }

  private static <T> ResponseEntity<T> orNothing(Optional<T> found) {
    return found.map(ResponseEntity::ok).orElseGet(() -> ResponseEntity.noContent().build());
  }

  @PostMapping("/who")
  @Operation(summary = "Begin to ask who is there; where it is being asked, that goes on")
  ResponseEntity<WhoRuns.WhoRun> ask(@PathVariable String id) {
    LiveDisplay.Look look = displays.get(id).look();
    who.start(id, look.version(), look.facts());
    return answered(id);
  }

  @GetMapping("/who")
  @Operation(summary = "Who answered when it was last asked, beside the plan as it is now; or 204")
  ResponseEntity<WhoRuns.WhoRun> answered(@PathVariable String id) {
    LiveDisplay.Look look = displays.get(id).look();
    return orNothing(who.of(id, look.version(), look.facts(), seasons.serials(id)));
  }

  @DeleteMapping("/who")
  @Operation(summary = "Stop asking")
  ResponseEntity<Void> stopAsking(@PathVariable String id) {
    displays.get(id);
    who.stop(id);
    return ResponseEntity.noContent().build();
  }

  /**
   * @param models ids of what stands there; empty: nothing any more
   */
  record StrangersRequest(List<String> models) {
    StrangersRequest {
      models = List.copyOf(models);
    }
  }

  @PutMapping("/strangers")
  @Operation(summary = "Put stand-ins of devices beside the others that nobody planned; not live")
  ResponseEntity<Void> strangers(@PathVariable String id, @RequestBody StrangersRequest request) {
    Facts facts = displays.get(id).look().facts();
    Require.inRange("models", request.models().size(), 0, MOST_STRANGERS);
    if (!(ground instanceof StandInGround standIns)) {
      throw new RefusedException("models", "live", "only stand-ins are put anywhere from here");
    }
    List<DeviceModel> models =
        request.models().stream()
            .map(model -> facts.plan().catalog().existingModel("models", model))
            .toList();
    standIns.strangers(id, models);
    return ResponseEntity.noContent().build();
  }

  @PostMapping("/listening")
  @Operation(summary = "Begin to listen; it ends when nobody asks what was heard for 30 s")
  ResponseEntity<Listening> listen(@PathVariable String id) {
    displays.get(id);
    listenings.start(id);
    return heard(id);
  }

  @GetMapping("/listening")
  @Operation(
      summary = "What was heard in the last seconds, beside the plan; 204 where nobody listens")
  ResponseEntity<Listening> heard(@PathVariable String id) {
    displays.get(id);
    return orNothing(listenings.of(id));
  }

  @DeleteMapping("/listening")
  @Operation(summary = "Stop listening")
  ResponseEntity<Void> stopListening(@PathVariable String id) {
    displays.get(id);
    listenings.stop(id);
    return ResponseEntity.noContent().build();
  }

  @PostMapping(path = "/capture", consumes = "application/octet-stream")
  @Operation(
      summary = "Drop a capture, pcap or pcapng of at most 1 GiB, in place of the one before",
      requestBody =
          @io.swagger.v3.oas.annotations.parameters.RequestBody(
              content =
                  @Content(
                      mediaType = "application/octet-stream",
                      schema = @Schema(type = "string", format = "binary"))))
  ResponseEntity<CaptureView> capture(
      @PathVariable String id,
      @RequestParam(defaultValue = "capture") String name,
      @Parameter(hidden = true) HttpServletRequest request)
      throws IOException, InterruptedException {
    displays.get(id);
    captures.take(id, name, request.getInputStream(), request.getContentLengthLong());
    return captured(id);
  }

  @GetMapping("/capture")
  @Operation(summary = "How far the capture is read, and what is in it beside the plan; or 204")
  ResponseEntity<CaptureView> captured(@PathVariable String id) {
    displays.get(id);
    return orNothing(captures.of(id));
  }

  @GetMapping("/capture/moment")
  @Operation(summary = "What every controller had been sent at a moment of the capture")
  Captures.CaptureMoment moment(@PathVariable String id, @RequestParam long micros)
      throws IOException {
    displays.get(id);
    return captures.at(id, micros);
  }

  @DeleteMapping("/capture")
  @Operation(summary = "Forget the capture")
  ResponseEntity<Void> forget(@PathVariable String id) {
    displays.get(id);
    captures.drop(id);
    return ResponseEntity.noContent().build();
  }
}
