package hamper.server.api;

import hamper.change.Difference;
import hamper.display.Display;
import hamper.handover.Season;
import hamper.server.live.Displays;
import hamper.server.live.Earlier;
import hamper.server.live.LiveDisplay;
import hamper.server.live.NoSuchDisplayException;
import hamper.server.store.LogEntry;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Who did what, as a place to look back. */
@RestController
@RequestMapping("/api/displays/{id}/log")
@Tag(name = "log")
class LogController {
  private static final int MOST = 200;

  /** Steps that are offered to walk over, each way. */
  private static final int MOST_STEPS = 50;

  private final Displays displays;
  private final Earlier earlier;

  LogController(Displays displays, Earlier earlier) {
    this.displays = displays;
    this.earlier = earlier;
  }

  /**
   * A step.
   *
   * @param version that it led to
   * @param by who made it; may be empty
   * @param what it wrote, in words
   * @param moved which legs got other addresses by it; empty where none did
   */
  record LogLine(
      int version,
      Instant at,
      String by,
      LogEntry.Kind kind,
      String label,
      List<String> what,
      String moved) {}

  /**
   * Steps, the latest first.
   *
   * @param more whether there are earlier ones that were not looked at
   */
  record LogPage(List<LogLine> lines, boolean more) {}

  /** One of the steps to walk over. */
  record HistoryStep(Instant at, String by, String label) {
    static List<HistoryStep> of(List<LogEntry.Head> lines) {
      return lines.stream()
          .map(line -> new HistoryStep(line.at(), line.by(), line.label()))
          .toList();
    }
  }

  /**
   * The steps to walk back and forth over.
   *
   * @param undo what can be taken back, the latest first
   * @param redo what can be made again, the next first
   */
  record HistoryView(int version, List<HistoryStep> undo, List<HistoryStep> redo) {}

  /** A display as it was. */
  record Then(int version, DisplayView display) {}

  @GetMapping
  @Operation(
      summary =
          "Steps with their consequence, the latest first; of one controller or prop where it is"
              + " named")
  LogPage log(
      @PathVariable String id,
      @RequestParam Optional<Integer> before,
      @RequestParam Optional<String> controller,
      @RequestParam Optional<String> prop) {
    LiveDisplay live = displays.get(id);
    Earlier.Walk walk = earlier.walk(live, before.orElse(Integer.MAX_VALUE), MOST);
    List<LogLine> lines =
        walk.steps().stream()
            .filter(step -> concerns(step, "controllers/", controller))
            .filter(step -> concerns(step, "props/", prop))
            .map(LogController::line)
            .toList();
    return new LogPage(lines, walk.more());
  }

  private static boolean concerns(Earlier.Was step, String list, Optional<String> id) {
    return id.isEmpty()
        || step.difference().paths().stream()
            .anyMatch(
                path ->
                    path.isEmpty()
                        || path.equals(list + id.get())
                        || path.startsWith(list + id.get() + "/"));
  }

  private static LogLine line(Earlier.Was step) {
    Display display = step.after();
    List<String> what =
        step.difference().paths().stream()
            .limit(6)
            .map(path -> Difference.words(path, display))
            .distinct()
            .toList();
    return new LogLine(
        step.entry().version(),
        step.entry().at(),
        step.entry().by(),
        step.entry().kind(),
        step.entry().label(),
        what,
        step.moved());
  }

  @GetMapping("/history")
  @Operation(summary = "The steps that undo and redo walk over, the nearest first")
  HistoryView history(@PathVariable String id) {
    LiveDisplay.History history = displays.get(id).history(MOST_STEPS);
    return new HistoryView(
        history.version(), HistoryStep.of(history.undo()), HistoryStep.of(history.redo()));
  }

  @GetMapping("/{version}")
  @Operation(summary = "How it was then: the display as it was at a version, to look at")
  Then then(@PathVariable String id, @PathVariable int version) {
    LiveDisplay live = displays.get(id);
    LiveDisplay.Look look =
        earlier
            .at(live, version)
            .orElseThrow(() -> new NoSuchDisplayException("version", String.valueOf(version)));
    return new Then(version, Deltas.whole(id, look, Shown.of(look.facts(), Season.NONE)));
  }
}
