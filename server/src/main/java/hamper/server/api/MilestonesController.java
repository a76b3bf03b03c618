package hamper.server.api;

import hamper.change.AddressAt;
import hamper.change.Comparison;
import hamper.display.Display;
import hamper.display.HungLeg;
import hamper.display.HungRun;
import hamper.edit.Edit;
import hamper.edit.Restore;
import hamper.facts.Facts;
import hamper.handover.Milestone;
import hamper.server.handover.Seasons;
import hamper.server.live.Displays;
import hamper.server.live.LiveDisplay;
import hamper.server.live.NoSuchDisplayException;
import hamper.server.store.MilestoneStore;
import hamper.server.store.MilestoneStore.MilestoneHead;
import hamper.value.RefusedException;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Named, frozen states of a display: set, compared, gone back to. */
@RestController
@RequestMapping("/api/displays/{id}/milestones")
@Tag(name = "milestones")
class MilestonesController {
  /** What stands for the display as it is now. */
  private static final String NOW = "now";

  private final Displays displays;
  private final MilestoneStore store;
  private final Seasons seasons;
  private final Publisher publisher;

  MilestonesController(
      Displays displays, MilestoneStore store, Seasons seasons, Publisher publisher) {
    this.displays = displays;
    this.store = store;
    this.seasons = seasons;
    this.publisher = publisher;
  }

  /** A milestone to be set. */
  record NewMilestone(String name) {}

  /**
   * Two states beside each other.
   *
   * @param from what the earlier one is called
   * @param to what the later one is called
   */
  record ComparisonView(String from, String to, Comparison comparison) {}

  /**
   * Where everything stood at a milestone, for shadows under what stands there now.
   *
   * @param name of the milestone
   * @param legs of pixel ports, where they hung along the wire
   */
  record Shadows(String name, List<AddressAt> addresses, List<ShadowLeg> legs) {}

  /**
   * Where something hung.
   *
   * @param written the port, such as K1-7
   * @param from places of the wire before it, null pixels at its plug included
   * @param places that it takes
   * @param start where it was addressed
   */
  record ShadowLeg(
      String written, String piece, String title, int from, int places, String start) {}

  @GetMapping
  @Operation(summary = "All milestones, oldest first")
  List<MilestoneHead> all(@PathVariable String id) {
    displays.get(id);
    return store.list(id);
  }

  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  @Operation(summary = "Freeze the display as it is, under a name")
  List<MilestoneHead> add(@PathVariable String id, @RequestBody NewMilestone request) {
    LiveDisplay.Look look = displays.get(id).look();
    if (store.list(id).size() >= MilestoneStore.MOST) {
      throw new RefusedException(
          "milestones",
          String.valueOf(MilestoneStore.MOST),
          "a display has at most %d; remove one that nobody compares with any more"
              .formatted(MilestoneStore.MOST));
    }
    Milestone milestone =
        new Milestone(
            UUID.randomUUID().toString(),
            request.name(),
            Instant.now(),
            Who.now(),
            look.version(),
            look.facts().plan().display());
    seasons.change(id, milestones -> milestones.add(id, List.of(milestone)));
    return store.list(id);
  }

  @DeleteMapping("/{milestone}")
  @Operation(summary = "Remove a milestone")
  ResponseEntity<Void> remove(@PathVariable String id, @PathVariable String milestone) {
    displays.get(id);
    find(id, milestone);
    seasons.change(id, milestones -> milestones.remove(id, milestone));
    return ResponseEntity.noContent().build();
  }

  private Milestone find(String id, String milestone) {
    return store
        .find(id, milestone)
        .orElseThrow(() -> new NoSuchDisplayException("milestone", milestone));
  }

  @GetMapping("/comparison")
  @Operation(summary = "What differs between two milestones, or one and \"now\"")
  ComparisonView compare(
      @PathVariable String id,
      @RequestParam String from,
      @RequestParam(defaultValue = NOW) String to) {
    return new ComparisonView(
        name(id, from), name(id, to), Comparison.between(side(id, from), side(id, to)));
  }

  private String name(String id, String which) {
    return which.equals(NOW) ? NOW : find(id, which).name();
  }

  private Comparison.Side side(String id, String which) {
    if (which.equals(NOW)) {
      Facts facts = displays.get(id).look().facts();
      return new Comparison.Side(facts.plan(), facts.resolution());
    }
    displays.get(id);
    return seasons.side(find(id, which));
  }

  @GetMapping("/{milestone}/shadows")
  @Operation(summary = "Where everything stood at a milestone")
  Shadows shadows(@PathVariable String id, @PathVariable String milestone) {
    displays.get(id);
    Milestone found = find(id, milestone);
    Comparison.Side side = seasons.side(found);
    List<AddressAt> addresses = AddressAt.of(side.plan(), side.resolution());
    Map<String, String> starts = new HashMap<>();
    addresses.forEach(at -> starts.putIfAbsent(at.piece(), at.text()));
    return new Shadows(found.name(), addresses, legs(side, starts));
  }

  private static List<ShadowLeg> legs(Comparison.Side side, Map<String, String> starts) {
    return side.plan()
        .pixelRuns()
        .flatMap(run -> run.legs().stream().map(leg -> leg(run, leg, starts)))
        .toList();
  }

  private static ShadowLeg leg(HungRun run, HungLeg leg, Map<String, String> starts) {
    String piece = leg.at().piece().id();
    return new ShadowLeg(
        run.written(),
        piece,
        leg.at().title(),
        leg.start(),
        leg.end() - leg.start(),
        starts.getOrDefault(piece, ""));
  }

  @PostMapping("/{milestone}/restoring")
  @Operation(summary = "Go back to a milestone: one step, which undo takes back")
  Delta restore(
      @PathVariable String id,
      @PathVariable String milestone,
      @RequestBody DisplaysController.VersionRequest request) {
    Milestone found = find(id, milestone);
    return publisher.publish(
        id,
        (live, before) ->
            live.editExactly(
                request.version(), edit(found, live.look().facts().plan().display()), before));
  }

  private static Edit edit(Milestone milestone, Display now) {
    return Restore.between("Go back to " + milestone.name(), now, milestone.display());
  }
}
