package hamper.server.api;

import hamper.facts.Facts;
import hamper.progress.Progress.StringAt;
import hamper.progress.Stage;
import hamper.progress.StringFact;
import hamper.progress.StringFact.Condition;
import hamper.progress.StringFact.Settled;
import hamper.progress.StringFact.Stored;
import hamper.progress.StringFact.Trouble;
import hamper.progress.StringFact.Urgency;
import hamper.server.handover.StringProgress;
import hamper.server.live.Displays;
import hamper.server.live.NoSuchDisplayException;
import hamper.server.store.Photos;
import hamper.value.Require;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Where each string is, from the workshop to seen right and back into storage. */
@RestController
@RequestMapping("/api/displays/{id}/progress")
@Tag(name = "progress")
class ProgressController {
  private static final int MOST_PIECES = 20_000;

  private final Displays displays;
  private final StringProgress progress;
  private final Photos photos;

  ProgressController(Displays displays, StringProgress progress, Photos photos) {
    this.displays = displays;
    this.progress = progress;
    this.photos = photos;
  }

  /**
   * @param strings in the order of the props
   */
  record ProgressView(List<StringAt> strings) {}

  /** Ids of strings, at least one. */
  private static Set<String> named(Set<String> pieces) {
    Set<String> named = Set.copyOf(pieces);
    Require.inRange("pieces", named.size(), 1, MOST_PIECES);
    return named;
  }

  /** Strings that reached a stage, or are taken back to it. */
  record StageRequest(Set<String> pieces, Stage stage) {
    StageRequest {
      pieces = named(pieces);
    }
  }

  /**
   * Strings that something is wrong with.
   *
   * @param photo name of one that was kept
   */
  record TroubleRequest(
      Set<String> pieces, String reason, Urgency urgency, String owner, Optional<String> photo) {
    TroubleRequest {
      pieces = named(pieces);
    }
  }

  /** Strings whose trouble is over. */
  record SettledRequest(Set<String> pieces) {
    SettledRequest {
      pieces = named(pieces);
    }
  }

  /** Strings that were taken down and put away. */
  record StoredRequest(Set<String> pieces, Condition condition, String place) {
    StoredRequest {
      pieces = named(pieces);
    }
  }

  /**
   * Something that happened to a string.
   *
   * @param told in words
   * @param photo name of a photo of it
   */
  record StringEvent(Instant at, String by, String told, Optional<String> photo) {}

  /** The name of a photo that is kept. */
  record PhotoName(String name) {}

  @GetMapping
  @Operation(summary = "Where each string is: its stage, trouble, and where it was put away")
  ProgressView progress(@PathVariable String id) {
    return view(id, displays.get(id).look().facts());
  }

  private ProgressView view(String id, Facts facts) {
    return new ProgressView(progress.of(id, facts).strings());
  }

  @PutMapping("/stage")
  @Operation(
      summary =
          "Strings reached a stage, or are taken back to it; 422 for seen right without the name of"
              + " who stood there")
  ProgressView stage(@PathVariable String id, @RequestBody StageRequest request) {
    Facts facts = displays.get(id).look().facts();
    progress.reach(id, facts, request.pieces(), request.stage(), Who.now());
    return view(id, facts);
  }

  @PutMapping("/trouble")
  @Operation(summary = "Something is wrong with strings: why, how urgent, and whose it is")
  ProgressView trouble(@PathVariable String id, @RequestBody TroubleRequest request) {
    return happened(
        id,
        request.pieces(),
        new Trouble(request.reason(), request.urgency(), request.owner(), request.photo()));
  }

  @PutMapping("/settled")
  @Operation(summary = "The trouble of strings is over; they are where they were")
  ProgressView settled(@PathVariable String id, @RequestBody SettledRequest request) {
    return happened(id, request.pieces(), new Settled());
  }

  @PutMapping("/stored")
  @Operation(summary = "Strings were taken down: what they are good for, and where they lie")
  ProgressView stored(@PathVariable String id, @RequestBody StoredRequest request) {
    return happened(id, request.pieces(), new Stored(request.condition(), request.place()));
  }

  private ProgressView happened(String id, Set<String> pieces, StringFact.What what) {
    Facts facts = displays.get(id).look().facts();
    progress.happened(id, facts, pieces, what, Who.now());
    return view(id, facts);
  }

  @GetMapping("/{piece}/history")
  @Operation(summary = "What happened to a string, the latest first")
  List<StringEvent> history(@PathVariable String id, @PathVariable String piece) {
    displays.get(id);
    return progress.history(id, piece).stream().map(ProgressController::event).toList();
  }

  static StringEvent event(StringFact fact) {
    return new StringEvent(fact.at(), fact.by(), fact.what().told(), fact.what().photoKept());
  }

  @PostMapping("/photos")
  @FileBody
  @Operation(
      summary =
          "Keep a photo, sent as the body; it is drawn anew, so that where it was taken is gone")
  PhotoName photo(@PathVariable String id, HttpServletRequest request) throws IOException {
    displays.get(id);
    byte[] bytes = request.getInputStream().readNBytes(Photos.MOST_BYTES + 1);
    return new PhotoName(photos.keep(id, bytes));
  }

  @GetMapping("/photos/{name}")
  @Operation(summary = "A photo, as JPEG")
  ResponseEntity<byte[]> photo(@PathVariable String id, @PathVariable String name)
      throws IOException {
    byte[] photo =
        photos.find(id, name).orElseThrow(() -> new NoSuchDisplayException("photo", name));
    return ResponseEntity.ok()
        .contentType(MediaType.IMAGE_JPEG)
        .cacheControl(CacheControl.noStore())
        .body(photo);
  }
}
