package hamper.server.api;

import hamper.display.Tagged;
import hamper.display.Workshop;
import hamper.files.BookFiles;
import hamper.handover.Units;
import hamper.paper.Beside;
import hamper.paper.Paperwork;
import hamper.paper.Sheet;
import hamper.paper.Shopping;
import hamper.paper.TagSheet;
import hamper.pdf.LabelPdf;
import hamper.pdf.LabelSize;
import hamper.pdf.PaperSize;
import hamper.pdf.SheetPdf;
import hamper.server.crew.CrewDoor;
import hamper.server.handover.StringProgress;
import hamper.server.live.Displays;
import hamper.server.live.LiveDisplay;
import hamper.server.live.NoSuchDisplayException;
import hamper.server.store.HandoverStore;
import hamper.value.Require;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.ZonedDateTime;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What the crew holds in its hands: sheets as text, as PDF and as pictures; labels; lists. */
@RestController
@RequestMapping("/api/displays/{id}/paper")
@Tag(name = "paper")
class PaperController {
  /** A point of the page is a dot and a half: sharp in a preview. */
  private static final float PREVIEW_DPI = 108;

  /** Files that are kept while their pages are looked at. */
  private static final int KEPT = 4;

  private final Displays displays;
  private final StringProgress progress;
  private final HandoverStore handovers;
  private final CrewDoor door;
  private final Map<Key, byte[]> made =
      new LinkedHashMap<>(KEPT, 1, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Key, byte[]> eldest) {
          return size() > KEPT;
        }
      };

  PaperController(
      Displays displays, StringProgress progress, HandoverStore handovers, CrewDoor door) {
    this.displays = displays;
    this.door = door;
    this.progress = progress;
    this.handovers = handovers;
  }

  private record Key(
      String display,
      int version,
      Beside beside,
      PaperSize size,
      Optional<String> sheet,
      Optional<String> door) {}

  /**
   * A sheet in the list of all.
   *
   * @param group what it is for, as people say it
   */
  record SheetHead(String id, Sheet.Kind kind, String group, String title) {}

  /**
   * A file of sheets.
   *
   * @param version of the display
   * @param pages of it
   * @param sheets of the display, in their order
   */
  record PaperView(int version, int pages, List<SheetHead> sheets) {}

  /**
   * Tags, and what they go by.
   *
   * @param untagged strings and cables without a tag
   */
  record TagsView(int version, int untagged, List<TagSheet.Row> tags, List<LabelSheet> labels) {}

  /**
   * Sheets of labels that are sold.
   *
   * @param count labels of one
   */
  record LabelSheet(LabelSize size, String title, int count) {}

  /**
   * The shopping list.
   *
   * @param sparesPercent of what is bought by the piece
   * @param allowancePercent of cable
   */
  record ShoppingView(
      int version, int sparesPercent, int allowancePercent, List<ShoppingLine> lines) {}

  /**
   * @param group as people say it
   * @param unit of its counts
   */
  record ShoppingLine(
      String group, String article, String unit, int needed, int extra, int stock, int toBuy) {}

  private static List<Sheet> sheets(LiveDisplay.Look look, Beside now) {
    return Paperwork.of(look.facts(), look.version(), now);
  }

  private byte[] made(String id, PaperSize size, Optional<String> sheet) {
    LiveDisplay.Look look = displays.get(id).look();
    Beside now = beside(id, look);
    Optional<String> origin = door.state().map(CrewDoor.Open::origin);
    Key key = new Key(id, look.version(), now, size, sheet, origin);
    synchronized (made) {
      byte[] known = made.get(key);
      if (known == null) {
        known =
            SheetPdf.of(
                chosen(sheets(look, now), sheet),
                look.facts().plan().display().name(),
                look.version(),
                ZonedDateTime.now(),
                size,
                origin);
        made.put(key, known);
      }
      return known;
    }
  }

  private Beside beside(String id, LiveDisplay.Look look) {
    return new Beside(progress.of(id, look.facts()), units(id, look));
  }

  private Units units(String id, LiveDisplay.Look look) {
    return Units.of(look.facts().plan(), handovers.ofUnits(id), handovers.unitPlaces(id));
  }

  /** All, or one; a controller's with its walls. */
  private static List<Sheet> chosen(List<Sheet> all, Optional<String> id) {
    if (id.isEmpty()) {
      return all;
    }
    Sheet one =
        all.stream()
            .filter(sheet -> sheet.id().equals(id.get()))
            .findFirst()
            .orElseThrow(() -> new NoSuchDisplayException("sheet", id.get()));
    return one.kind() == Sheet.Kind.CREW
        ? all.stream().filter(sheet -> sheet.controller().equals(one.controller())).toList()
        : List.of(one);
  }

  @GetMapping
  @Operation(summary = "The sheets of a display, and how many pages all or one of them have")
  PaperView pages(
      @PathVariable String id,
      @RequestParam PaperSize size,
      @RequestParam(required = false) Optional<String> sheet) {
    LiveDisplay.Look look = displays.get(id).look();
    List<SheetHead> heads =
        sheets(look, beside(id, look)).stream()
            .map(one -> new SheetHead(one.id(), one.kind(), one.kind().title(), one.title()))
            .toList();
    return new PaperView(look.version(), SheetPdf.pages(made(id, size, sheet)), heads);
  }

  @GetMapping("/sheets/{sheet}")
  @Operation(summary = "A sheet as text, block by block")
  SheetView sheet(@PathVariable String id, @PathVariable String sheet) {
    LiveDisplay.Look look = displays.get(id).look();
    return SheetView.of(chosen(sheets(look, beside(id, look)), Optional.of(sheet)).get(0));
  }

  @GetMapping("/sheets.pdf")
  @Operation(summary = "Sheets as PDF, to download")
  ResponseEntity<byte[]> pdf(
      @PathVariable String id,
      @RequestParam PaperSize size,
      @RequestParam(required = false) Optional<String> sheet) {
    return DownloadsController.download(
        sheet.orElse("all-sheets") + ".pdf", MediaType.APPLICATION_PDF, made(id, size, sheet));
  }

  @GetMapping("/page.png")
  @Operation(summary = "A page as a picture")
  ResponseEntity<byte[]> page(
      @PathVariable String id,
      @RequestParam PaperSize size,
      @RequestParam(required = false) Optional<String> sheet,
      @RequestParam int page) {
    byte[] pdf = made(id, size, sheet);
    Require.inRange("page", page, 1, SheetPdf.pages(pdf));
    return ResponseEntity.ok()
        .contentType(MediaType.IMAGE_PNG)
        .cacheControl(CacheControl.noStore())
        .body(SheetPdf.picture(pdf, page - 1, PREVIEW_DPI));
  }

  @GetMapping("/everything.xlsx")
  @Operation(
      summary =
          "Addresses, ports, props, loads, feeds, send list, show list, shopping list and tags as a"
              + " spreadsheet, to download")
  ResponseEntity<byte[]> everything(@PathVariable String id) {
    LiveDisplay.Look look = displays.get(id).look();
    return DownloadsController.download(
        "everything.xlsx",
        DownloadsController.XLSX,
        BookFiles.xlsx(look.facts(), look.version(), beside(id, look)));
  }

  @GetMapping("/tags")
  @Operation(summary = "Tags of strings and cables, in the order in which they were given")
  TagsView tags(@PathVariable String id) {
    LiveDisplay.Look look = displays.get(id).look();
    var plan = look.facts().plan();
    int untagged = Tagged.untagged(plan);
    List<LabelSheet> sizes =
        List.of(LabelSize.values()).stream()
            .map(size -> new LabelSheet(size, size.title(), size.count()))
            .toList();
    return new TagsView(look.version(), untagged, TagSheet.rows(plan), sizes);
  }

  @GetMapping("/labels.pdf")
  @Operation(summary = "Labels of tags, two for each cable, to download")
  ResponseEntity<byte[]> labels(
      @PathVariable String id,
      @RequestParam LabelSize size,
      @RequestParam(defaultValue = "0") int used,
      @RequestParam(required = false) Optional<Set<String>> tag) {
    Require.inRange("used", used, 0, size.count() - 1);
    LiveDisplay.Look look = displays.get(id).look();
    List<TagSheet.Row> rows =
        TagSheet.rows(look.facts().plan()).stream()
            .filter(row -> tag.isEmpty() || tag.get().contains(row.tag().text()))
            .filter(row -> !row.gone() || tag.isPresent())
            .toList();
    return DownloadsController.download(
        "labels.pdf", MediaType.APPLICATION_PDF, LabelPdf.of(rows, size, look.version(), used));
  }

  @GetMapping("/label-test.pdf")
  @Operation(summary = "A page with the edges of labels and rulers, to download")
  ResponseEntity<byte[]> labelTest(@PathVariable String id, @RequestParam LabelSize size) {
    return DownloadsController.download(
        "label-test.pdf", MediaType.APPLICATION_PDF, LabelPdf.testPage(size));
  }

  @GetMapping("/shopping")
  @Operation(summary = "What is to be bought: needed, spares or allowance, and in stock")
  ShoppingView shopping(@PathVariable String id) {
    LiveDisplay.Look look = displays.get(id).look();
    Workshop workshop = look.facts().plan().display().workshop();
    return new ShoppingView(
        look.version(),
        workshop.spares(),
        workshop.allowance(),
        Shopping.of(look.facts().plan()).stream()
            .map(
                one ->
                    new ShoppingLine(
                        one.group().title(),
                        one.article(),
                        one.unit().isEmpty() ? "pieces" : one.unit(),
                        one.needed(),
                        one.extra(),
                        one.stock(),
                        one.toBuy()))
            .toList());
  }

  @GetMapping("/units")
  @Operation(summary = "Devices by serial number: what happened with each, and where it lies")
  Units units(@PathVariable String id) {
    return units(id, displays.get(id).look());
  }

  /**
   * Where a unit lies.
   *
   * @param place empty: nobody knows
   */
  record UnitPlaceRequest(String serial, String place) {
    UnitPlaceRequest {
      Require.text("serial", serial, 80);
      Require.that(!serial.isBlank(), "serial", "nothing", "name the unit by its serial number");
      Require.text("place", place, 80);
    }
  }

  @PutMapping("/units")
  @Operation(summary = "Say where a unit lies; one that was never met is noted too")
  Units putUnit(@PathVariable String id, @RequestBody UnitPlaceRequest request) {
    LiveDisplay.Look look = displays.get(id).look();
    handovers.putUnit(id, request.serial().strip(), request.place().strip());
    return units(id, look);
  }
}
