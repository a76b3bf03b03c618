package hamper.server.api;

import hamper.address.UniverseChannel;
import hamper.catalog.PortKind;
import hamper.display.Controller;
import hamper.display.PortRef;
import hamper.facts.Facts;
import hamper.files.SeenFiles;
import hamper.locate.AddressGrid;
import hamper.locate.Locator;
import hamper.locate.Spot;
import hamper.server.live.Displays;
import hamper.server.live.LiveDisplay;
import hamper.value.RefusedException;
import hamper.why.Answers;
import hamper.why.Question;
import hamper.why.Why;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Every address, the pixel behind it, and why a number is what it is. */
@RestController
@RequestMapping("/api/displays/{id}")
@Tag(name = "addresses")
class AddressesController {
  private static final int HELD = 1;
  private static final int MIRROR = 2;
  private static final int OVERLAPS = 4;
  private static final int CUT = 8;

  private final Displays displays;

  AddressesController(Displays displays) {
    this.displays = displays;
  }

  /**
   * Every universe and every packet of bytes as a row, packed: a large display has tens of
   * thousands.
   *
   * @param version of the display
   * @param domains whom packets reach, as rows name them by their place
   * @param pieces ids, as stretches name them by their place
   * @param rows six numbers each: domain, place of the controller in the list, universe (on DDP the
   *     packet, from 0), slots, first byte on DDP and −1 else, how many stretches it has
   * @param stretches five numbers each, row by row: piece, section from 0, first slot, last slot,
   *     and what it is: 1 held, 2 mirror, 4 somebody else answers to some of it, 8 the row ends
   *     within one of its pixels
   */
  record GridView(
      int version,
      List<String> domains,
      List<String> pieces,
      List<Integer> rows,
      List<Integer> stretches) {}

  @GetMapping("/addresses/grid")
  @Operation(summary = "Every universe and every packet of bytes, with who stands in its slots")
  GridView grid(@PathVariable String id) {
    LiveDisplay.Look look = displays.get(id).look();
    Facts facts = look.facts();
    Map<String, Integer> domains = new LinkedHashMap<>();
    Map<String, Integer> pieces = new LinkedHashMap<>();
    List<Integer> rows = new ArrayList<>();
    List<Integer> stretches = new ArrayList<>();
    for (AddressGrid.Row row : AddressGrid.of(facts).rows()) {
      boolean universes =
          facts.plan().display().controllers().get(row.controller()).protocol().usesUniverses();
      rows.add(place(domains, row.domain()));
      rows.add(row.controller());
      rows.add(row.number());
      rows.add(row.size());
      rows.add(universes ? -1 : row.firstByte());
      rows.add(row.stretches().size());
      for (AddressGrid.Stretch one : row.stretches()) {
        stretches.add(place(pieces, one.at().piece()));
        stretches.add(one.at().section());
        stretches.add(one.first());
        stretches.add(one.last());
        stretches.add(marks(one));
      }
    }
    return new GridView(
        look.version(),
        List.copyOf(domains.keySet()),
        List.copyOf(pieces.keySet()),
        rows,
        stretches);
  }

  private static int place(Map<String, Integer> places, String one) {
    return places.computeIfAbsent(one, next -> places.size());
  }

  private static int marks(AddressGrid.Stretch one) {
    return (one.at().held() ? HELD : 0)
        | (one.at().mirror() ? MIRROR : 0)
        | (one.overlaps() ? OVERLAPS : 0)
        | (one.cut() ? CUT : 0);
  }

  @GetMapping("/addresses/slots")
  @Operation(summary = "A row of the grid slot by slot: which pixel and which colour")
  List<Locator.Slot> slots(@PathVariable String id, @RequestParam int row) {
    Facts facts = displays.get(id).look().facts();
    List<AddressGrid.Row> rows = AddressGrid.of(facts).rows();
    if (row < 0 || row >= rows.size()) {
      throw new RefusedException("row", String.valueOf(row), "there are %d".formatted(rows.size()));
    }
    return new Locator(facts).slotsOf(rows.get(row));
  }

  @GetMapping("/locate")
  @Operation(
      summary =
          "The pixel behind an address, or every address of a pixel: slot as universe:channel,"
              + " display channel, byte of a controller, or pixel of a port")
  List<Spot> locate(
      @PathVariable String id,
      @RequestParam Optional<String> slot,
      @RequestParam Optional<Integer> displayChannel,
      @RequestParam Optional<String> controller,
      @RequestParam("byte") Optional<Integer> number,
      @RequestParam Optional<PortKind> kind,
      @RequestParam Optional<Integer> port,
      @RequestParam Optional<Integer> pixel) {
    Facts facts = displays.get(id).look().facts();
    Locator locator = new Locator(facts);
    if (slot.isPresent()) {
      return locator.atSlot(slotOf(slot.get()));
    } else if (displayChannel.isPresent()) {
      return locator.atDisplayChannel(displayChannel.get());
    }
    Controller of = facts.plan().existingController(controller.orElse(""));
    if (number.isPresent()) {
      return locator.atByte(of.id(), number.get());
    }
    if (port.isEmpty() || pixel.isEmpty()) {
      throw new RefusedException(
          "locate", "nothing", "say slot, displayChannel, controller and byte, or port and pixel");
    }
    return locator.atPosition(
        new PortRef(of.id(), kind.orElse(PortKind.PIXEL), port.get()), pixel.get());
  }

  private static UniverseChannel slotOf(String written) {
    String[] parts = written.split(":");
    try {
      return new UniverseChannel(Integer.parseInt(parts[0]), Integer.parseInt(parts[1]));
    } catch (NumberFormatException | ArrayIndexOutOfBoundsException e) {
      throw new RefusedException("slot", written, "write universe:channel such as 12:301");
    }
  }

  /** A table as it is seen: heads, and rows of as many cells. */
  record SeenTable(List<String> heads, List<List<String>> rows) {
    SeenTable {
      heads = List.copyOf(heads);
      rows = rows.stream().map(List::copyOf).toList();
    }
  }

  /** What a table is written as. */
  enum SeenFormat {
    CSV,
    XLSX
  }

  @PostMapping("/addresses/seen")
  @Operation(summary = "A table as it is seen, sent as the body, as a spreadsheet")
  ResponseEntity<byte[]> seen(
      @PathVariable String id, @RequestParam SeenFormat format, @RequestBody SeenTable table) {
    displays.get(id);
    return format == SeenFormat.CSV
        ? DownloadsController.download(
            "seen.csv", DownloadsController.CSV, SeenFiles.csv(table.heads(), table.rows()))
        : DownloadsController.download(
            "seen.xlsx", DownloadsController.XLSX, SeenFiles.xlsx(table.heads(), table.rows()));
  }

  @PostMapping("/why")
  @Operation(
      summary =
          "Why a number is what it is: in every way that it is counted, each with its sum; empty"
              + " where there is no such number")
  List<Why> why(@PathVariable String id, @RequestBody Question question) {
    return Answers.of(displays.get(id).look().facts(), question);
  }
}
