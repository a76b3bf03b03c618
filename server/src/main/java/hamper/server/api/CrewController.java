package hamper.server.api;

import hamper.server.api.CrewViews.CrewPage;
import hamper.server.api.CrewViews.CrewStrings;
import hamper.server.api.CrewViews.CrewYard;
import hamper.server.crew.CrewDoor;
import hamper.server.crew.Entrance;
import hamper.server.handover.StringProgress;
import hamper.server.live.Displays;
import hamper.server.live.LiveDisplay;
import hamper.server.live.NoSuchDisplayException;
import hamper.server.live.Replugged;
import hamper.server.store.CrewKey;
import hamper.server.store.Photos;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.List;
import java.util.Objects;
import java.util.concurrent.CompletableFuture;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** The plan for the crew: of the display that the key opens, by the crew door only. */
@RestController
@RequestMapping("/crew/api")
@Tag(name = "crew")
class CrewController {
  private final Displays displays;
  private final Standings standings;
  private final StringProgress progress;
  private final Replugged replugged;
  private final Photos photos;
  private final Entrance entrance;
  private final CrewDoor door;
  private final CrewStreams streams;

  CrewController(
      Displays displays,
      Standings standings,
      StringProgress progress,
      Replugged replugged,
      Photos photos,
      Entrance entrance,
      CrewDoor door,
      CrewStreams streams) {
    this.displays = displays;
    this.standings = standings;
    this.progress = progress;
    this.replugged = replugged;
    this.photos = photos;
    this.entrance = entrance;
    this.door = door;
    this.streams = streams;
  }

  /** A key, as it stands in a link. */
  record CrewEnter(String key) {
    CrewEnter {
      Objects.requireNonNull(key);
    }
  }

  @PostMapping("/enter")
  @Operation(
      summary =
          "Show a key, and get a cookie for it; 401 for one that does not open, later and later")
  CompletableFuture<ResponseEntity<CrewYard>> enter(
      @RequestBody CrewEnter wanted, HttpServletRequest request) {
    boolean secure = request.isSecure();
    return entrance
        .show(wanted.key(), request)
        .thenApply(
            key ->
                ResponseEntity.ok()
                    .header(HttpHeaders.SET_COOKIE, Entrance.cookie(wanted.key(), key, secure))
                    .body(CrewViews.yard(look(key), key)));
  }

  private LiveDisplay.Look look(CrewKey key) {
    return displays.get(key.display()).look();
  }

  @GetMapping("/yard")
  @Operation(summary = "The display with its controllers, and what the key allows")
  CrewYard yard(HttpServletRequest request) {
    CrewKey key = Entrance.of(request);
    return CrewViews.yard(look(key), key);
  }

  @GetMapping("/strings")
  @Operation(summary = "Where each string is")
  CrewStrings strings(HttpServletRequest request) {
    CrewKey key = Entrance.of(request);
    LiveDisplay.Look look = look(key);
    return CrewViews.strings(look, progress.of(key.display(), look.facts()));
  }

  @GetMapping("/strings/{piece}/history")
  @Operation(summary = "What happened to a string, the latest first")
  List<ProgressController.StringEvent> history(
      @PathVariable String piece, HttpServletRequest request) {
    return progress.history(Entrance.of(request).display(), piece).stream()
        .map(ProgressController::event)
        .toList();
  }

  @GetMapping("/controllers/{controller}")
  @Operation(summary = "All that is plugged in at a controller, in the order of its sockets")
  CrewPage controller(@PathVariable String controller, HttpServletRequest request) {
    CrewKey key = Entrance.of(request);
    LiveDisplay.Look look = look(key);
    look.facts().controllers().stream()
        .filter(own -> own.controller().id().equals(controller))
        .findFirst()
        .orElseThrow(() -> new NoSuchDisplayException("controller", controller));
    return CrewViews.page(look, standings.of(key.display(), look.facts()), controller);
  }

  @GetMapping("/moves")
  @Operation(summary = "Which strings were moved to another port since a version")
  Replugged.Moves moves(@RequestParam int since, HttpServletRequest request) {
    return replugged.since(displays.get(Entrance.of(request).display()), Math.max(0, since));
  }

  @GetMapping(path = "/events", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
  @Operation(
      summary =
          "Follow the display: hello and plan with its version, strings where more is known of them")
  SseEmitter events(HttpServletRequest request) {
    CrewKey key = Entrance.of(request);
    return streams.open(key, () -> look(key).version());
  }

  @PostMapping("/photos")
  @FileBody
  @Operation(summary = "Keep a photo, sent as the body; it is drawn anew")
  ProgressController.PhotoName photo(HttpServletRequest request) throws IOException {
    byte[] bytes = request.getInputStream().readNBytes(Photos.MOST_BYTES + 1);
    return new ProgressController.PhotoName(photos.keep(Entrance.of(request).display(), bytes));
  }

  @GetMapping("/photos/{name}")
  @Operation(summary = "A photo, as JPEG")
  ResponseEntity<byte[]> photo(@PathVariable String name, HttpServletRequest request)
      throws IOException {
    byte[] photo =
        photos
            .find(Entrance.of(request).display(), name)
            .orElseThrow(() -> new NoSuchDisplayException("photo", name));
    return ResponseEntity.ok()
        .contentType(MediaType.IMAGE_JPEG)
        .cacheControl(CacheControl.noStore())
        .body(photo);
  }
}
