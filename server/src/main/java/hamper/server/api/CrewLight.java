package hamper.server.api;

import hamper.display.Circuit;
import hamper.display.PieceAt;
import hamper.pattern.Pattern;
import hamper.pattern.PatternKind;
import hamper.send.Target;
import hamper.send.Targets;
import hamper.server.crew.Entrance;
import hamper.server.live.Displays;
import hamper.server.output.Output;
import hamper.server.output.OutputState;
import hamper.server.store.CrewKey;
import hamper.value.RefusedException;
import hamper.value.Require;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;
import java.util.Set;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Light from a phone: it lasts only as long as the phone says so again. */
@RestController
@RequestMapping("/crew/api")
@Tag(name = "crew")
class CrewLight {
  /** After a word without another (s). */
  static final int LASTS = 5;

  /** Of what switches, while it is held. */
  private static final byte[] ON = {(byte) 255};

  private static final byte[] OFF = {0};

  private final Output output;
  private final Displays displays;

  CrewLight(Output output, Displays displays) {
    this.output = output;
    this.displays = displays;
  }

  /**
   * @param piece its id
   * @param kind of pattern
   * @param from the pixel, or the first of a part, from 1; left out: 1
   * @param to the last of a part
   * @param armed whether it may be switched from now on, where it is a circuit
   */
  record CrewLightWanted(
      String piece,
      PatternKind kind,
      Optional<Integer> from,
      Optional<Integer> to,
      Optional<Boolean> armed) {
    CrewLightWanted {
      Require.id("piece", piece);
    }

    Pattern pattern() {
      Pattern usual = Pattern.of(kind);
      return new Pattern(kind, usual.colour(), from.orElse(usual.from()), to.orElse(usual.to()));
    }
  }

  /**
   * What of it is lit.
   *
   * @param pieces 0 where its controller is not sent to
   * @param seconds that it lasts without another word
   */
  record CrewLit(int pieces, int seconds) {}

  /**
   * @param on whether it is held now; else it is let go
   */
  record CrewHeld(String piece, boolean on) {
    CrewHeld {
      Require.id("piece", piece);
    }
  }

  /** Whose light it is, for others to read; nobody at a window is called so. */
  private static String who(CrewKey key) {
    String said = Who.now();
    return "%s, by phone (%s)".formatted(said.isEmpty() ? "somebody" : said, key.name());
  }

  /** What a phone may switch. */
  private Circuit circuit(CrewKey key, String piece) {
    return displays
        .get(key.display())
        .look()
        .facts()
        .plan()
        .piece(piece)
        .map(PieceAt::piece)
        .filter(Circuit.class::isInstance)
        .map(Circuit.class::cast)
        .orElseThrow(
            () ->
                new RefusedException(
                    "piece",
                    Require.quoted(piece),
                    "a circuit: what turns and tilts is moved at the computer only"));
  }

  @PutMapping("/light")
  @Operation(
      summary =
          "Light a string for five seconds, in place of what this phone lit; 409 where somebody"
              + " else holds it, or another display is lit")
  CrewLit light(@RequestBody CrewLightWanted wanted, HttpServletRequest request)
      throws InterruptedException {
    CrewKey key = Entrance.of(request);
    String who = who(key);
    boolean armed = wanted.armed().orElse(false);
    if (armed) {
      circuit(key, wanted.piece());
    }
    Targets what = new Targets(Set.of(new Target.OfPiece(wanted.piece())), Set.of());
    OutputState state =
        output.light(
            new Output.Wanted(
                key.display(),
                who,
                what,
                wanted.pattern(),
                Output.USUAL_CEILING,
                Output.USUAL_CEILING,
                LASTS,
                Set.of(),
                armed ? Set.of(wanted.piece()) : Set.of()));
    int pieces =
        state.holders().stream()
            .filter(one -> one.who().equals(who))
            .mapToInt(OutputState.Holder::pieces)
            .findFirst()
            .orElse(0);
    return new CrewLit(pieces, LASTS);
  }

  @DeleteMapping("/light")
  @Operation(summary = "What this phone lit is dark again")
  ResponseEntity<Void> leave(HttpServletRequest request) throws InterruptedException {
    try {
      output.leave(who(Entrance.of(request)));
    } catch (Output.BusyException e) {
      // it is dark already
    }
    return ResponseEntity.noContent().build();
  }

  @DeleteMapping("/light/all")
  @Operation(
      summary = "Stop whatever is sent, from whatever window or phone: somebody is in danger")
  ResponseEntity<Void> stop() throws InterruptedException {
    output.stop(0);
    return ResponseEntity.noContent().build();
  }

  @PutMapping("/held")
  @Operation(
      summary =
          "Switch a circuit that was armed, for a second from each word on; 409 where it does not")
  ResponseEntity<Void> hold(@RequestBody CrewHeld held, HttpServletRequest request)
      throws InterruptedException {
    CrewKey key = Entrance.of(request);
    Circuit circuit = circuit(key, held.piece());
    byte[] levels = held.on() ? circuit.safeOn() ? OFF : ON : new byte[0];
    output.hold(held.piece(), levels, who(key));
    return ResponseEntity.noContent().build();
  }
}
