package hamper.server.api;

import hamper.facts.Facts;
import hamper.paper.Crew;
import hamper.paper.CrewSheet;
import hamper.pdf.CrewPdf;
import hamper.pdf.PaperSize;
import hamper.server.live.Displays;
import hamper.server.live.LiveDisplay;
import hamper.server.live.NoSuchDisplayException;
import hamper.value.Require;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.ZonedDateTime;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What the crew holds in its hands, as PDF and as pictures of its pages. */
@RestController
@RequestMapping("/api/displays/{id}/paper")
@Tag(name = "paper")
class PaperController {
  /** A point of the page is a dot and a half: sharp in a preview. */
  private static final float PREVIEW_DPI = 108;

  /** Files that are kept while their pages are looked at. */
  private static final int KEPT = 4;

  private final Displays displays;
  private final Map<Key, byte[]> made =
      new LinkedHashMap<>(KEPT, 1, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Key, byte[]> eldest) {
          return size() > KEPT;
        }
      };

  PaperController(Displays displays) {
    this.displays = displays;
  }

  private record Key(String display, int version, PaperSize size, Optional<String> controller) {}

  /**
   * A file of sheets.
   *
   * @param version of the display
   * @param pages of it
   */
  record PaperView(int version, int pages) {}

  private synchronized byte[] made(
      String id, LiveDisplay.Look look, PaperSize size, Optional<String> controller) {
    Key key = new Key(id, look.version(), size, controller);
    byte[] known = made.get(key);
    if (known == null) {
      known = make(look, size, controller);
      made.put(key, known);
    }
    return known;
  }

  private static byte[] make(LiveDisplay.Look look, PaperSize size, Optional<String> controller) {
    Facts facts = look.facts();
    List<CrewSheet> all =
        Crew.of(facts).stream()
            .filter(sheet -> controller.isEmpty() || controller.get().equals(sheet.controller()))
            .toList();
    if (controller.isPresent() && all.isEmpty()) {
      throw new NoSuchDisplayException("controller", controller.get());
    }
    return CrewPdf.of(
        all, facts.plan().display().name(), look.version(), ZonedDateTime.now(), size);
  }

  @GetMapping
  @Operation(summary = "How many pages the crew sheets have, all or one controller's")
  PaperView pages(
      @PathVariable String id,
      @RequestParam PaperSize size,
      @RequestParam(required = false) Optional<String> controller) {
    LiveDisplay.Look look = displays.get(id).look();
    return new PaperView(look.version(), CrewPdf.pages(made(id, look, size, controller)));
  }

  @GetMapping("/crew.pdf")
  @Operation(summary = "Crew sheets as PDF, to download")
  ResponseEntity<byte[]> pdf(
      @PathVariable String id,
      @RequestParam PaperSize size,
      @RequestParam(required = false) Optional<String> controller) {
    LiveDisplay.Look look = displays.get(id).look();
    String tag =
        controller.flatMap(look.facts().plan()::controller).map(one -> one.tag() + "-").orElse("");
    return DownloadsController.download(
        tag + "crew-sheets.pdf", MediaType.APPLICATION_PDF, made(id, look, size, controller));
  }

  @GetMapping("/page.png")
  @Operation(summary = "A page as a picture")
  ResponseEntity<byte[]> page(
      @PathVariable String id,
      @RequestParam PaperSize size,
      @RequestParam(required = false) Optional<String> controller,
      @RequestParam int page) {
    byte[] pdf = made(id, displays.get(id).look(), size, controller);
    Require.inRange("page", page, 1, CrewPdf.pages(pdf));
    return ResponseEntity.ok()
        .contentType(MediaType.IMAGE_PNG)
        .cacheControl(CacheControl.noStore())
        .body(CrewPdf.picture(pdf, page - 1, PREVIEW_DPI));
  }
}
