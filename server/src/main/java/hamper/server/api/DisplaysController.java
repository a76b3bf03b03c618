package hamper.server.api;

import hamper.catalog.Catalog;
import hamper.display.Display;
import hamper.display.DisplaySettings;
import hamper.edit.Edit;
import hamper.files.DisplayFile;
import hamper.handover.Milestone;
import hamper.server.live.DemoDisplay;
import hamper.server.live.Displays;
import hamper.server.live.LiveDisplay;
import hamper.server.store.DisplayStore.Listed;
import hamper.value.RecordShape;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Displays: list, open, import, edit, undo, preview. */
@RestController
@RequestMapping("/api/displays")
@Tag(name = "displays")
class DisplaysController {
  private final Displays displays;
  private final Catalog catalog;
  private final Publisher publisher;

  private final Standings standings;

  DisplaysController(Displays displays, Catalog catalog, Publisher publisher, Standings standings) {
    this.standings = standings;
    this.displays = displays;
    this.catalog = catalog;
    this.publisher = publisher;
  }

  /**
   * A new display.
   *
   * @param copyOf the id of a display that it begins as; left out: it begins empty
   * @param nextYear whether it is next year's of that one: what it was like then is its only
   *     milestone; left out: no
   */
  record NewDisplay(String name, Optional<String> copyOf, Optional<Boolean> nextYear) {}

  /**
   * @param version that the edit was made on
   * @param moveStarts where starts keep still: whether those may move that have to; left out: no
   */
  record EditRequest(int version, Edit edit, Optional<Boolean> moveStarts) {}

  /**
   * @param version that undo or redo was asked for on
   */
  record VersionRequest(int version) {}

  /** An edit to be tried. */
  record PreviewRequest(Edit edit) {}

  @GetMapping
  @Operation(summary = "All displays, by name")
  List<Listed> all() {
    return displays.list();
  }

  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  @Operation(summary = "Add a display: empty, or a copy of another")
  Listed create(@RequestBody NewDisplay request) {
    if (request.copyOf().isEmpty()) {
      return displays.add(Display.empty(request.name()));
    }
    LiveDisplay.Look of = displays.get(request.copyOf().get()).look();
    Display display = of.facts().plan().display();
    DisplaySettings settings = display.settings();
    if (!request.nextYear().orElse(false)) {
      return displays.add(display.withNameAndSettings(request.name(), settings));
    }
    // nothing of it is given yet, so nothing has to keep still
    Display next =
        display.withNameAndSettings(
            request.name(), RecordShape.with(settings, "keepsStill", Optional.<Boolean>empty()));
    return displays.add(
        next,
        List.of(
            new Milestone(
                "last-year", display.name(), Instant.now(), Who.now(), of.version(), display)));
  }

  @PostMapping("/demo")
  @ResponseStatus(HttpStatus.CREATED)
  @Operation(summary = "Add the demo display, Saltmarsh Quay")
  Listed demo() {
    return displays.add(DemoDisplay.read(catalog));
  }

  @PostMapping("/import")
  @ResponseStatus(HttpStatus.CREATED)
  @Operation(summary = "Add a display from a display file, sent as the body")
  @FileBody
  Listed importFile(HttpServletRequest request) throws IOException {
    DisplayFile.Contents contents = DisplayFile.open(Bodies.file(request), catalog);
    return displays.add(contents.plan().display(), contents.milestones());
  }

  @GetMapping("/removed")
  @Operation(summary = "Displays that were removed and can be brought back")
  List<Listed> removed() {
    return displays.removed();
  }

  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  @Operation(summary = "Remove a display; for 30 days it can be brought back")
  void remove(@PathVariable String id) {
    displays.remove(id);
  }

  @PostMapping("/{id}/back")
  @Operation(summary = "Bring a removed display back")
  Listed bringBack(@PathVariable String id) {
    return displays.bringBack(id);
  }

  @GetMapping("/{id}")
  @Operation(summary = "A whole display with everything derived")
  DisplayView get(@PathVariable String id) {
    LiveDisplay.Look look = displays.get(id).look();
    return Deltas.whole(id, look, standings.of(id, look.facts()).shown());
  }

  @PostMapping("/{id}/edits")
  @Operation(
      summary = "Make an edit; answers what changed. 409 where starts that keep still have to move")
  Delta edit(@PathVariable String id, @RequestBody EditRequest request) {
    return publisher.publish(
        id,
        request.moveStarts().orElse(false),
        (live, before) -> live.edit(request.version(), request.edit(), before));
  }

  @PostMapping("/{id}/undo")
  @Operation(summary = "Take the latest edit back")
  Delta undo(@PathVariable String id, @RequestBody VersionRequest request) {
    return publisher.publish(id, (live, before) -> live.undo(request.version(), before));
  }

  @PostMapping("/{id}/redo")
  @Operation(summary = "Do the latest undone edit again")
  Delta redo(@PathVariable String id, @RequestBody VersionRequest request) {
    return publisher.publish(id, (live, before) -> live.redo(request.version(), before));
  }

  @PostMapping("/{id}/preview")
  @Operation(summary = "What an edit would do; nothing is kept")
  Preview preview(@PathVariable String id, @RequestBody PreviewRequest request) {
    return Deltas.preview(standings.of(id, displays.get(id).look().facts()), request.edit());
  }
}
