package hamper.server.api;

import hamper.send.Targets;
import hamper.server.output.Output;
import hamper.server.output.OutputSetting;
import hamper.server.output.OutputState;
import hamper.value.Require;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Light: one sender for all windows, each of which may hold pieces of its own. */
@RestController
@RequestMapping("/api/output")
@Tag(name = "output")
class OutputController {
  /** Who says nothing of himself. */
  private static final String SOMEBODY = "somebody";

  private final Output output;
  private final OutputSetting setting;

  OutputController(Output output, OutputSetting setting, Followers followers) {
    this.output = output;
    this.setting = setting;
    output.follow(followers::tell);
  }

  /**
   * What is to be lit; none of all three: everything.
   *
   * @param props ids of props
   * @param pieces ids of single pieces
   * @param controllers ids of controllers: all that hangs on them
   */
  record OutputTargets(
      Optional<Set<String>> props,
      Optional<Set<String>> pieces,
      Optional<Set<String>> controllers) {
    OutputTargets {
      props = props.map(Set::copyOf);
      pieces = pieces.map(Set::copyOf);
      controllers = controllers.map(Set::copyOf);
    }

    Targets targets() {
      return new Targets(
          props.orElse(Set.of()), pieces.orElse(Set.of()), controllers.orElse(Set.of()));
    }
  }

  /**
   * White on light of a display.
   *
   * @param display its id
   * @param who lights it, for others to read; what the same one had before is given up
   * @param only what is lit; left out: everything
   * @param percent of full, as it is sent, 0..100
   * @param ceiling most light that results, percent; left out: 30
   * @param seconds after which it ends by itself, 1..1800; left out: 1800
   * @param storage ids of controllers that play their own storage and are to be sent to all the
   *     same
   * @param armed ids of pieces that may be moved from now on
   */
  record OutputRequest(
      String display,
      Optional<String> who,
      Optional<OutputTargets> only,
      int percent,
      Optional<Integer> ceiling,
      Optional<Integer> seconds,
      Optional<Set<String>> storage,
      Optional<Set<String>> armed) {
    OutputRequest {
      storage = storage.map(Set::copyOf);
      armed = armed.map(Set::copyOf);
    }

    Output.Wanted wanted() {
      return new Output.Wanted(
          display,
          who.orElse(SOMEBODY),
          only.map(OutputTargets::targets).orElse(Targets.ALL),
          percent,
          ceiling.orElse(Output.USUAL_CEILING),
          seconds.orElse(Output.USUAL_SECONDS),
          storage.orElse(Set.of()),
          armed.orElse(Set.of()));
    }
  }

  /**
   * A word of whoever holds something that moves.
   *
   * @param piece its id
   * @param who holds it
   * @param levels of its slots, 0..255; none: it is let go
   */
  record HoldRequest(String piece, Optional<String> who, List<Integer> levels) {
    HoldRequest {
      Require.inRange("levels", levels.size(), 0, 512);
      levels.forEach(level -> Require.inRange("levels", level, 0, 255));
    }

    byte[] bytes() {
      byte[] bytes = new byte[levels.size()];
      for (int i = 0; i < bytes.length; i++) {
        bytes[i] = (byte) (int) levels.get(i);
      }
      return bytes;
    }
  }

  /**
   * Where packets go.
   *
   * @param live to devices; else to stand-ins
   * @param adapter that is used live, where one was chosen
   */
  record OutputGround(boolean live, Optional<String> adapter) {}

  @GetMapping("/ground")
  @Operation(summary = "Whether packets go to stand-ins or, live, to devices")
  OutputGround ground() {
    return new OutputGround(setting.live(), setting.adapter());
  }

  @PostMapping
  @Operation(
      summary =
          "Light pieces of a display; 409 where another display is lit, where somebody else holds a"
              + " piece, or where what is to be armed cannot be")
  OutputState light(@RequestBody OutputRequest request) throws InterruptedException {
    return output.light(request.wanted());
  }

  @PutMapping("/held")
  @Operation(summary = "Move what is armed, for a second from each word on; 409 where it does not")
  ResponseEntity<Void> hold(@RequestBody HoldRequest request) throws InterruptedException {
    output.hold(request.piece(), request.bytes(), request.who().orElse(SOMEBODY));
    return ResponseEntity.noContent().build();
  }

  @GetMapping
  @Operation(summary = "What is being sent, or was last; 204 before the first")
  ResponseEntity<OutputState> now() {
    return output.now().map(ResponseEntity::ok).orElseGet(() -> ResponseEntity.noContent().build());
  }

  @DeleteMapping("/holders")
  @Operation(summary = "One who lights something has done; what others light goes on")
  ResponseEntity<Void> leave(@RequestParam String who) {
    output.leave(who);
    return ResponseEntity.noContent().build();
  }

  @DeleteMapping
  @Operation(
      summary =
          "Stop whatever is sent, from whatever window: safe states, and black or work light of so"
              + " many percent")
  ResponseEntity<Void> stop(@RequestParam(defaultValue = "0") int workLight)
      throws InterruptedException {
    Require.inRange("workLight", workLight, 0, Output.USUAL_CEILING);
    output.stop(workLight);
    return ResponseEntity.noContent().build();
  }
}
