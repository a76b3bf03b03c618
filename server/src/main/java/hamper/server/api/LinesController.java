package hamper.server.api;

import hamper.catalog.PortKind;
import hamper.display.PortRef;
import hamper.facts.Facts;
import hamper.server.live.Displays;
import hamper.server.network.LineRuns;
import hamper.value.RefusedException;
import hamper.who.LineEntry;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
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
import org.springframework.web.bind.annotation.RestController;

/** What is on a DMX line, or on a serial line of a host, beside what is planned there. */
@RestController
@RequestMapping("/api/displays/{id}/lines/{controller}/{kind}/{port}")
@Tag(name = "network")
class LinesController {
  private final Displays displays;
  private final LineRuns runs;

  LinesController(Displays displays, LineRuns runs) {
    this.displays = displays;
    this.runs = runs;
  }

  /**
   * @param anew whether a bridge is to search its line again
   * @param from the first unit number of a serial line, 1..120
   * @param to the last one
   * @param device the serial port of this computer; live only
   */
  record AskLine(
      boolean anew, Optional<Integer> from, Optional<Integer> to, Optional<String> device) {}

  /**
   * @param uid such as 4854:0000A1B2
   * @param slot 1..512
   */
  record SlotRequest(String uid, int slot) {}

  record IdentifyRequest(String uid, boolean on) {}

  private PortRef line(String id, String controller, PortKind kind, int port) {
    Facts facts = facts(id);
    if (kind != PortKind.DMX && kind != PortKind.SERIAL) {
      throw new RefusedException("kind", kind.name(), "lines are of kind DMX or SERIAL");
    }
    if (facts.plan().controller(controller).isEmpty()) {
      throw new RefusedException("controller", controller, "there is none of that id");
    }
    return new PortRef(controller, kind, port);
  }

  private Facts facts(String id) {
    return displays.get(id).look().facts();
  }

  private ResponseEntity<LineRuns.LineRun> now(String id, PortRef line) {
    return runs.of(id, facts(id), line)
        .map(ResponseEntity::ok)
        .orElseGet(() -> ResponseEntity.noContent().build());
  }

  private interface Order {
    void give() throws IOException, InterruptedException;
  }

  /** What a device does not do is refused in its words. */
  private static void order(String uid, Order order) throws InterruptedException {
    try {
      order.give();
    } catch (IOException e) {
      throw new RefusedException("uid", uid, e.getMessage());
    }
  }

  @PostMapping
  @Operation(summary = "Begin to ask who is on a line; where it is being asked, that goes on")
  ResponseEntity<LineRuns.LineRun> ask(
      @PathVariable String id,
      @PathVariable String controller,
      @PathVariable PortKind kind,
      @PathVariable int port,
      @RequestBody AskLine how) {
    PortRef line = line(id, controller, kind, port);
    runs.start(
        id, facts(id), line, new LineRuns.How(how.anew(), how.from(), how.to(), how.device()));
    return now(id, line);
  }

  @GetMapping
  @Operation(summary = "Who is on a line, as it was asked last, beside the plan now; or 204")
  ResponseEntity<LineRuns.LineRun> found(
      @PathVariable String id,
      @PathVariable String controller,
      @PathVariable PortKind kind,
      @PathVariable int port) {
    return now(id, line(id, controller, kind, port));
  }

  @DeleteMapping
  @Operation(summary = "Stop asking a line")
  ResponseEntity<Void> stop(
      @PathVariable String id,
      @PathVariable String controller,
      @PathVariable PortKind kind,
      @PathVariable int port) {
    runs.stop(id, line(id, controller, kind, port));
    return ResponseEntity.noContent().build();
  }

  @PostMapping("/slot/preview")
  @Operation(summary = "How the line would be with a device at another start slot")
  List<LineEntry> preview(
      @PathVariable String id,
      @PathVariable String controller,
      @PathVariable PortKind kind,
      @PathVariable int port,
      @RequestBody SlotRequest wanted) {
    PortRef line = line(id, controller, kind, port);
    return runs.preview(id, facts(id), line, wanted.uid(), wanted.slot());
  }

  @PutMapping("/slot")
  @Operation(summary = "Set a device's start slot by RDM, and read it back")
  ResponseEntity<LineRuns.LineRun> setSlot(
      @PathVariable String id,
      @PathVariable String controller,
      @PathVariable PortKind kind,
      @PathVariable int port,
      @RequestBody SlotRequest wanted)
      throws InterruptedException {
    PortRef line = line(id, controller, kind, port);
    order(wanted.uid(), () -> runs.setSlot(id, facts(id), line, wanted.uid(), wanted.slot()));
    return now(id, line);
  }

  @PutMapping("/identify")
  @Operation(summary = "Let a device blink, or not any more")
  ResponseEntity<LineRuns.LineRun> identify(
      @PathVariable String id,
      @PathVariable String controller,
      @PathVariable PortKind kind,
      @PathVariable int port,
      @RequestBody IdentifyRequest wanted)
      throws InterruptedException {
    PortRef line = line(id, controller, kind, port);
    order(wanted.uid(), () -> runs.identify(id, facts(id), line, wanted.uid(), wanted.on()));
    return now(id, line);
  }
}
