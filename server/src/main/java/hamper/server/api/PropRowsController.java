package hamper.server.api;

import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Zone;
import hamper.edit.Edit;
import hamper.files.BadFileException;
import hamper.files.PropRows;
import hamper.server.live.Displays;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Props typed, pasted or imported as rows. */
@RestController
@RequestMapping("/api/displays/{id}/props/rows")
@Tag(name = "props")
class PropRowsController {
  /** Most rows that a preview shows; bad ones come first to be kept. */
  private static final int MOST_SHOWN = 500;

  private final Displays displays;
  private final Publisher publisher;

  PropRowsController(Displays displays, Publisher publisher) {
    this.displays = displays;
    this.publisher = publisher;
  }

  /**
   * What rows would add.
   *
   * @param rows how many there are, the header left out
   * @param bad how many cannot be taken
   * @param props how many they make
   * @param pieces how many those have
   * @param pixels in all
   * @param usualType the name of the pixel type of rows that name none
   * @param newZones that would be added
   * @param reasons of the table as a whole
   * @param entries row by row; of a long table the first ones and the bad ones
   */
  record RowsView(
      int rows,
      int bad,
      int props,
      int pieces,
      int pixels,
      String usualType,
      List<String> newZones,
      List<BadFileException.Reason> reasons,
      List<PropRows.Entry> entries) {}

  @PostMapping("/preview")
  @Operation(summary = "Read rows, sent as the body; nothing is kept")
  @FileBody
  RowsView preview(
      @PathVariable String id,
      @RequestParam PropRows.Header header,
      @RequestParam Optional<String> type,
      HttpServletRequest request)
      throws IOException {
    Plan plan = displays.get(id).look().facts().plan();
    String usual = type.orElseGet(() -> usualType(plan));
    PropRows rows = PropRows.read(Bodies.file(request), plan, usual, header);
    return new RowsView(
        rows.entries().size(),
        rows.bad(),
        rows.props().size(),
        rows.props().stream().mapToInt(prop -> prop.pieces().size()).sum(),
        rows.entries().stream().mapToInt(PropRows.Entry::pixels).sum(),
        plan.catalog().pixelType(usual).map(found -> found.name()).orElse(usual),
        rows.newZones().stream().map(Zone::name).toList(),
        rows.reasons(),
        shown(rows.entries()));
  }

  private static List<PropRows.Entry> shown(List<PropRows.Entry> entries) {
    Stream<PropRows.Entry> bad = entries.stream().filter(entry -> !entry.reasons().isEmpty());
    Stream<PropRows.Entry> good = entries.stream().filter(entry -> entry.reasons().isEmpty());
    return Stream.concat(bad, good)
        .limit(MOST_SHOWN)
        .sorted(Comparator.comparingInt(PropRows.Entry::row))
        .toList();
  }

  @PostMapping
  @Operation(summary = "Add all props of the rows sent as the body, or none where any is bad")
  @FileBody
  Delta add(
      @PathVariable String id,
      @RequestParam int version,
      @RequestParam PropRows.Header header,
      @RequestParam Optional<String> type,
      HttpServletRequest request)
      throws IOException {
    Plan plan = displays.get(id).look().facts().plan();
    String usual = type.orElseGet(() -> usualType(plan));
    // made before the door is asked: where the display has moved on meanwhile, it refuses
    Edit edit = PropRows.read(Bodies.file(request), plan, usual, header).edit();
    return publisher.publish(id, (live, before) -> live.editExactly(version, edit, before));
  }

  /** The pixel type that most strings have; the catalogue's first where there are none. */
  static String usualType(Plan plan) {
    Map<String, Long> counts =
        plan.display().props().stream()
            .flatMap(prop -> prop.pieces().stream())
            .filter(PixelString.class::isInstance)
            .map(piece -> ((PixelString) piece).pixelType())
            .collect(Collectors.groupingBy(Function.identity(), Collectors.counting()));
    return counts.entrySet().stream()
        .max(Map.Entry.<String, Long>comparingByValue().thenComparing(Map.Entry.comparingByKey()))
        .map(Map.Entry::getKey)
        .orElseGet(() -> plan.catalog().pixelTypes().get(0).id());
  }
}
