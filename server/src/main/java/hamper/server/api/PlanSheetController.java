package hamper.server.api;

import hamper.display.Plan;
import hamper.files.BadFileException;
import hamper.files.PlanColumn;
import hamper.files.PlanSheet;
import hamper.server.live.Displays;
import hamper.value.RefusedException;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** A planner's own spreadsheet, as XLSX or CSV, held against the plan and taken in. */
@RestController
@RequestMapping("/api/displays/{id}/plan-sheet")
@Tag(name = "addresses")
class PlanSheetController {
  /** Most rows that a preview shows; those that say something come first to be kept. */
  private static final int MOST_SHOWN = 500;

  private final Displays displays;
  private final Publisher publisher;

  PlanSheetController(Displays displays, Publisher publisher) {
    this.displays = displays;
    this.publisher = publisher;
  }

  /**
   * What a sheet would change.
   *
   * @param version of the display that it was held against
   * @param rows how many there are, the head left out
   * @param bad how many cannot be taken; the others can
   * @param adds how many make a prop
   * @param changes how many change one
   * @param cells how many cells differ
   * @param reasons of the table as a whole
   * @param entries row by row; of a long table first those that say something
   * @param starts where its starts are others than follow; of many the first
   * @param holdable how many of those can be held
   */
  record PlanSheetView(
      int version,
      List<PlanSheet.Column> columns,
      int rows,
      int bad,
      int adds,
      int changes,
      int cells,
      List<BadFileException.Reason> reasons,
      List<PlanSheet.SheetEntry> entries,
      List<PlanSheet.Differs> starts,
      int differing,
      int holdable) {}

  /**
   * @param means what each column means, in the order of the sheet, separated by commas; nothing
   *     between two: it means nothing
   */
  @PostMapping("/preview")
  @Operation(summary = "Hold a sheet, sent as the body, against the plan; nothing is kept")
  @FileBody
  PlanSheetView preview(
      @PathVariable String id, @RequestParam Optional<String> means, HttpServletRequest request)
      throws IOException {
    var look = displays.get(id).look();
    PlanSheet sheet = read(look.facts().plan(), PlanSheet.Starts.FLOW, means, request);
    return new PlanSheetView(
        look.version(),
        sheet.columns(),
        sheet.entries().size(),
        sheet.bad(),
        count(sheet, PlanSheet.Does.ADDS),
        count(sheet, PlanSheet.Does.CHANGES),
        sheet.entries().stream().mapToInt(entry -> entry.changes().size()).sum(),
        sheet.reasons(),
        shown(sheet.entries()),
        sheet.starts().stream().limit(MOST_SHOWN).toList(),
        sheet.starts().size(),
        (int) sheet.starts().stream().filter(one -> one.why().isEmpty()).count());
  }

  private static int count(PlanSheet sheet, PlanSheet.Does does) {
    return (int) sheet.entries().stream().filter(entry -> entry.does() == does).count();
  }

  private static List<PlanSheet.SheetEntry> shown(List<PlanSheet.SheetEntry> entries) {
    return Stream.of(
            PlanSheet.Does.BAD, PlanSheet.Does.CHANGES, PlanSheet.Does.ADDS, PlanSheet.Does.NOTHING)
        .flatMap(does -> entries.stream().filter(entry -> entry.does() == does))
        .limit(MOST_SHOWN)
        .sorted(Comparator.comparingInt(PlanSheet.SheetEntry::row))
        .toList();
  }

  @PostMapping
  @Operation(summary = "Take all good rows of a sheet in as one step; the bad ones stay out")
  @FileBody
  Delta take(
      @PathVariable String id,
      @RequestParam int version,
      @RequestParam PlanSheet.Starts starts,
      @RequestParam Optional<String> means,
      @RequestParam Optional<Boolean> moveStarts,
      HttpServletRequest request)
      throws IOException {
    PlanSheet sheet = read(displays.get(id).look().facts().plan(), starts, means, request);
    if (!sheet.reasons().isEmpty()) {
      throw new BadFileException(sheet.reasons());
    }
    var edit =
        sheet
            .edit()
            .orElseThrow(() -> new RefusedException("sheet", "nothing", "nothing of it differs"));
    return publisher.publish(
        id, moveStarts.orElse(false), (live, before) -> live.editExactly(version, edit, before));
  }

  private static PlanSheet read(
      Plan plan, PlanSheet.Starts starts, Optional<String> means, HttpServletRequest request)
      throws IOException {
    return PlanSheet.read(
        Bodies.file(request),
        plan,
        PropRowsController.usualType(plan),
        starts,
        means.map(PlanSheetController::columns));
  }

  private static List<Optional<PlanColumn>> columns(String means) {
    return Arrays.stream(means.split(",", -1))
        .map(
            one -> {
              try {
                return one.isEmpty()
                    ? Optional.<PlanColumn>empty()
                    : Optional.of(PlanColumn.valueOf(one));
              } catch (IllegalArgumentException e) {
                throw new RefusedException(
                    "means", one, "one of " + Arrays.toString(PlanColumn.values()));
              }
            })
        .toList();
  }
}
