package hamper.server.api;

import hamper.catalog.Catalog;
import hamper.display.Display;
import hamper.display.Plan;
import hamper.edit.AddToCatalogue;
import hamper.edit.Edit;
import hamper.files.BadFileException;
import hamper.files.CatalogueFiles;
import hamper.files.DisplayFile;
import hamper.server.live.Displays;
import hamper.server.live.LiveDisplay;
import hamper.server.live.Step;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Displays: list, open, import, edit, undo, preview, follow. */
@RestController
@RequestMapping("/api/displays")
@Tag(name = "displays")
class DisplaysController {
  private final Displays displays;
  private final Catalog catalog;
  private final DisplayEvents events;

  DisplaysController(Displays displays, Catalog catalog, DisplayEvents events) {
    this.displays = displays;
    this.catalog = catalog;
    this.events = events;
  }

  /** A display in a list. */
  record Listed(String id, String name, int version, int props, int controllers) {
    static Listed of(LiveDisplay live) {
      Display display = live.look().facts().plan().display();
      return new Listed(
          live.id(),
          display.name(),
          live.look().version(),
          display.props().size(),
          display.controllers().size());
    }
  }

  /** A new, empty display. */
  record NewDisplay(String name) {}

  /**
   * @param version that the edit was made on
   */
  record EditRequest(int version, Edit edit) {}

  /**
   * @param version that undo or redo was asked for on
   */
  record VersionRequest(int version) {}

  /** An edit to be tried. */
  record PreviewRequest(Edit edit) {}

  @GetMapping
  @Operation(summary = "All displays, by name")
  List<Listed> all() {
    return displays.all().stream().map(Listed::of).toList();
  }

  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  @Operation(summary = "Add an empty display")
  Listed create(@RequestBody NewDisplay request) {
    return Listed.of(displays.add(Display.empty(request.name())));
  }

  @PostMapping("/import")
  @ResponseStatus(HttpStatus.CREATED)
  @Operation(summary = "Add a display from a display file, sent as the body")
  Listed importFile(HttpServletRequest request) throws IOException {
    // one byte more than is read tells a file that is too large from one that just fits
    byte[] bytes = request.getInputStream().readNBytes(DisplayFile.MOST_BYTES + 1);
    if (bytes.length > DisplayFile.MOST_BYTES) {
      throw tooLarge(request.getContentLengthLong());
    }
    Plan plan = DisplayFile.read(bytes, catalog);
    return Listed.of(displays.add(plan.display()));
  }

  private static BadFileException tooLarge(long length) {
    String size = length > 0 ? "%,d bytes".formatted(length) : "more bytes than are read";
    return new BadFileException(
        List.of(
            new BadFileException.Reason(
                "file",
                "%s; allowed are %,d. Split the display, or leave out what is not planned here"
                    .formatted(size, DisplayFile.MOST_BYTES))));
  }

  @PostMapping("/{id}/catalogue")
  @Operation(summary = "Add the models and pixel types of a catalogue file, sent as the body")
  Delta addToCatalogue(
      @PathVariable String id, @RequestParam int version, HttpServletRequest request)
      throws IOException {
    byte[] bytes = request.getInputStream().readNBytes(DisplayFile.MOST_BYTES + 1);
    CatalogueFiles.Content content = CatalogueFiles.read(bytes);
    Edit edit = new AddToCatalogue(content.models(), content.pixelTypes());
    return publish(id, live -> live.edit(version, edit));
  }

  @GetMapping("/{id}")
  @Operation(summary = "A whole display with everything derived")
  DisplayView get(@PathVariable String id) {
    return Deltas.whole(displays.get(id));
  }

  @PostMapping("/{id}/edits")
  @Operation(summary = "Make an edit; answers what changed")
  Delta edit(@PathVariable String id, @RequestBody EditRequest request) {
    return publish(id, live -> live.edit(request.version(), request.edit()));
  }

  @PostMapping("/{id}/undo")
  @Operation(summary = "Take the latest edit back")
  Delta undo(@PathVariable String id, @RequestBody VersionRequest request) {
    return publish(id, live -> live.undo(request.version()));
  }

  @PostMapping("/{id}/redo")
  @Operation(summary = "Do the latest undone edit again")
  Delta redo(@PathVariable String id, @RequestBody VersionRequest request) {
    return publish(id, live -> live.redo(request.version()));
  }

  @PostMapping("/{id}/preview")
  @Operation(summary = "What an edit would do; nothing is kept")
  Preview preview(@PathVariable String id, @RequestBody PreviewRequest request) {
    return Deltas.preview(displays.get(id).look().facts(), request.edit());
  }

  @GetMapping(path = "/{id}/events", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
  @Operation(summary = "Follow what other windows do")
  SseEmitter follow(@PathVariable String id) {
    return events.open(displays.get(id).id());
  }

  private interface Act {
    Step on(LiveDisplay live);
  }

  private Delta publish(String id, Act act) {
    LiveDisplay live = displays.get(id);
    Delta delta;
    synchronized (live) {
      Step step = act.on(live);
      LiveDisplay.Look look = live.look();
      delta = Deltas.of(step, new UndoView(look.undoLabel(), look.redoLabel()));
      // in the order of the versions, or windows would see a gap
      events.publish(id, delta);
    }
    return delta;
  }
}
