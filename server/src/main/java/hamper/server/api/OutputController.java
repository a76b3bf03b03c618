package hamper.server.api;

import hamper.address.Protocol;
import hamper.display.PortRef;
import hamper.pattern.Colour;
import hamper.pattern.Pattern;
import hamper.pattern.PatternKind;
import hamper.send.Target;
import hamper.send.Targets;
import hamper.server.output.Output;
import hamper.server.output.OutputSetting;
import hamper.server.output.OutputState;
import hamper.value.Require;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
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

  OutputController(Output output, OutputSetting setting) {
    this.output = output;
    this.setting = setting;
  }

  /** Most names in one request. */
  private static final int MOST_NAMES = 10_000;

  /**
   * A section of a string.
   *
   * @param piece its id
   * @param section from 1
   */
  record LitSection(String piece, int section) {}

  /**
   * One address alone.
   *
   * @param controller its id, on DDP
   * @param universe on the wire; left out on DDP
   * @param channel from 1; on DDP the byte, from 0
   */
  record LitSlot(Optional<String> controller, Optional<Integer> universe, int channel) {
    LitSlot {
      Require.inRange("universe", universe, 1, Protocol.HIGHEST_UNIVERSE);
      Require.inRange("channel", channel, 0, Integer.MAX_VALUE);
    }
  }

  /**
   * What is to be lit; none of all: everything.
   *
   * @param zones ids of zones
   * @param props ids of props
   * @param pieces ids of single pieces
   * @param controllers ids of controllers: all that hangs on them
   */
  record OutputTargets(
      Optional<Set<String>> zones,
      Optional<Set<String>> props,
      Optional<Set<String>> pieces,
      Optional<Set<LitSection>> sections,
      Optional<Set<String>> controllers,
      Optional<Set<PortRef>> ports,
      Optional<Set<LitSlot>> slots) {
    OutputTargets {
      zones = few(zones);
      props = few(props);
      pieces = few(pieces);
      sections = few(sections);
      controllers = few(controllers);
      ports = few(ports);
      slots = few(slots);
    }

    private static <T> Optional<Set<T>> few(Optional<Set<T>> all) {
      all.ifPresent(some -> Require.inRange("only", some.size(), 0, MOST_NAMES));
      return all.map(Set::copyOf);
    }

    Targets targets() {
      Set<Target> whole = new HashSet<>();
      add(whole, zones, Target.OfZone::new);
      add(whole, props, Target.OfProp::new);
      add(whole, pieces, Target.OfPiece::new);
      add(whole, sections, one -> new Target.OfSection(one.piece(), one.section()));
      add(whole, controllers, Target.OfController::new);
      add(whole, ports, Target.OfPort::new);
      Set<Targets.Slot> single = new HashSet<>();
      slots
          .orElse(Set.of())
          .forEach(
              one ->
                  single.add(
                      new Targets.Slot(
                          one.controller().orElse(""), one.universe().orElse(0), one.channel())));
      return new Targets(whole, single);
    }

    private static <T> void add(Set<Target> to, Optional<Set<T>> some, Function<T, Target> kind) {
      some.orElse(Set.of()).forEach(one -> to.add(kind.apply(one)));
    }
  }

  /**
   * What is put on the lights.
   *
   * @param colour of kinds that have one of their own; left out: white
   * @param from the pixel that is lit, or the first of a part, from 1; left out: 1
   * @param to the last of a part; left out: as far as it goes
   */
  record OutputPattern(
      PatternKind kind, Optional<Colour> colour, Optional<Integer> from, Optional<Integer> to) {
    Pattern pattern() {
      Pattern usual = Pattern.of(kind);
      return new Pattern(
          kind, colour.orElse(usual.colour()), from.orElse(usual.from()), to.orElse(usual.to()));
    }
  }

  /**
   * A kind of pattern.
   *
   * @param purpose what one sees by it
   */
  record PatternView(PatternKind kind, String title, String purpose) {}

  /**
   * Something simple on light of a display.
   *
   * @param display its id
   * @param who lights it, for others to read; what the same one had before is given up
   * @param only what is lit; left out: everything
   * @param pattern that is put on it; left out: white
   * @param percent of full, as it is sent, 0..100
   * @param ceiling most light that results, percent; left out: 30
   * @param seconds after which it ends by itself, 1..43200; left out: 1800
   * @param storage ids of controllers that play their own storage and are to be sent to all the
   *     same
   * @param armed ids of pieces that may be moved from now on
   */
  record OutputRequest(
      String display,
      Optional<String> who,
      Optional<OutputTargets> only,
      Optional<OutputPattern> pattern,
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
          pattern.map(OutputPattern::pattern).orElse(Pattern.WHITE),
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

  @GetMapping("/patterns")
  @Operation(summary = "What can be put on lights, and what one sees by it")
  List<PatternView> patterns() {
    return Arrays.stream(PatternKind.values())
        .map(kind -> new PatternView(kind, kind.title(), kind.purpose()))
        .toList();
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

  @PostMapping("/silence")
  @Operation(
      summary =
          "Send nothing for some seconds, to see what devices do by themselves; 409 while"
              + " anything moves")
  ResponseEntity<Void> silence(@RequestParam(defaultValue = "4") int seconds) {
    output.silence(seconds);
    return ResponseEntity.noContent().build();
  }

  @DeleteMapping("/holders")
  @Operation(summary = "One who lights something has done; what others light goes on")
  ResponseEntity<Void> leave(@RequestParam String who) throws InterruptedException {
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
