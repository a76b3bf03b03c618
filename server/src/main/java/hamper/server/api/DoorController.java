package hamper.server.api;

import hamper.pdf.QrCode;
import hamper.server.crew.CrewDoor;
import hamper.server.crew.CrewKeys;
import hamper.server.live.Displays;
import hamper.server.store.CrewKey;
import hamper.server.store.CrewKey.Right;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.io.IOException;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** The crew door, for whoever sits at the machine: opened, closed, and who has a key. */
@RestController
@Tag(name = "door")
class DoorController {
  private final CrewDoor door;
  private final CrewKeys keys;
  private final Displays displays;

  DoorController(CrewDoor door, CrewKeys keys, Displays displays) {
    this.door = door;
    this.keys = keys;
    this.displays = displays;
  }

  /**
   * @param open left out while the door is closed
   */
  record DoorState(Optional<CrewDoor.Open> open) {}

  /**
   * A key that somebody has.
   *
   * @param opens whether it lets in, where the door is open
   */
  record CrewKeyView(
      String id,
      String name,
      List<Right> may,
      Instant made,
      Instant until,
      Optional<Instant> withdrawn,
      boolean opens) {
    static CrewKeyView of(CrewKey key) {
      return new CrewKeyView(
          key.id(),
          key.name(),
          key.may().stream().sorted().toList(),
          key.made(),
          key.until(),
          key.withdrawn(),
          key.opens(Instant.now()));
    }
  }

  /**
   * @param name whose it is to be
   * @param may what it allows besides reading
   * @param days that it opens, 1..120
   */
  record NewCrewKey(String name, Set<Right> may, int days) {
    NewCrewKey {
      may = Set.copyOf(may);
    }
  }

  /**
   * A key that was just made: its link is told this once.
   *
   * @param link to open on the phone
   * @param side of the code below, in squares
   * @param squares the link as a code that a phone's camera reads: the dark squares as the path of
   *     an SVG
   */
  record MadeCrewKey(CrewKeyView key, String link, int side, String squares) {}

  @GetMapping("/api/door")
  @Operation(summary = "Whether the crew door is open, and where")
  DoorState state() {
    return new DoorState(door.state());
  }

  @PutMapping("/api/door")
  @Operation(summary = "Open the crew door at an address of this computer, for some hours")
  DoorState open(@RequestBody CrewDoor.Opening opening) throws IOException {
    return new DoorState(Optional.of(door.open(opening)));
  }

  @DeleteMapping("/api/door")
  @Operation(summary = "Close the crew door; whoever is inside is out")
  ResponseEntity<Void> close() {
    door.close();
    return ResponseEntity.noContent().build();
  }

  @GetMapping(path = "/api/door/hamper-authority.crt", produces = "application/x-x509-ca-cert")
  @Operation(summary = "The certificate that phones are to trust for HTTPS, as DER")
  ResponseEntity<byte[]> authority() throws IOException {
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType("application/x-x509-ca-cert"))
        .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"hamper-authority.crt\"")
        .body(door.authority());
  }

  @GetMapping("/api/displays/{id}/crew-keys")
  @Operation(summary = "Keys of the crew door for a display, the latest first")
  List<CrewKeyView> keys(@PathVariable String id) {
    displays.get(id);
    return keys.of(id).stream().map(CrewKeyView::of).toList();
  }

  @PostMapping("/api/displays/{id}/crew-keys")
  @Operation(summary = "Make a key; 409 while the door is closed, for its link says where it is")
  MadeCrewKey make(@PathVariable String id, @RequestBody NewCrewKey wanted) {
    displays.get(id);
    CrewDoor.Open open = door.existing();
    CrewKeys.Made made = keys.make(id, wanted.name(), wanted.may(), wanted.days());
    String link = open.origin() + "/#" + made.secret();
    QrCode code = QrCode.of(link);
    return new MadeCrewKey(CrewKeyView.of(made.key()), link, code.side(), code.path());
  }

  @DeleteMapping("/api/displays/{id}/crew-keys/{key}")
  @Operation(summary = "Withdraw a key; whoever came in by it is out at once")
  ResponseEntity<Void> withdraw(@PathVariable String id, @PathVariable String key) {
    displays.get(id);
    keys.withdraw(id, key);
    return ResponseEntity.noContent().build();
  }
}
