package hamper.server.api;

import hamper.arrange.Aim;
import hamper.arrange.Arrange;
import hamper.arrange.Asked;
import hamper.arrange.Cost;
import hamper.arrange.Missing;
import hamper.arrange.Progress;
import hamper.arrange.Proposal;
import hamper.display.Controller;
import hamper.edit.Edit;
import hamper.facts.Facts;
import hamper.handover.Handed;
import hamper.handover.Season;
import hamper.server.handover.Seasons;
import hamper.server.live.Displays;
import hamper.server.live.LiveDisplay;
import hamper.value.Require;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Where pieces would hang. */
@RestController
@RequestMapping("/api/displays/{id}/arrange")
@Tag(name = "arrange")
class ArrangeController {
  private static final int MOST_PIECES = 25_000;

  /** Each change is tried with all of them. */
  private static final int MOST_MISSING = 500;

  private final Displays displays;
  private final Seasons seasons;
  private final Arranging arranging;

  ArrangeController(Displays displays, Seasons seasons, Arranging arranging) {
    this.displays = displays;
    this.seasons = seasons;
    this.arranging = arranging;
  }

  /**
   * @param pieces ids; none: all that hang nowhere, or all where they may move
   * @param spread whether each zone is spread over controllers on purpose
   * @param move whether pieces that hang may move; not what is held, set at hardware, or on a
   *     controller that was given its configuration
   * @param running a name of its own under which it may be looked at and stopped meanwhile
   */
  record ArrangeRequest(
      Aim aim,
      Set<String> pieces,
      Optional<Boolean> spread,
      Optional<Boolean> move,
      Optional<String> running) {
    ArrangeRequest {
      pieces = Set.copyOf(pieces);
      Require.inRange("pieces", pieces.size(), 0, MOST_PIECES);
      running.ifPresent(name -> Require.id("running", name));
    }

    boolean moves() {
      return move.orElse(false);
    }
  }

  /**
   * A proposal as it stood at a version.
   *
   * @param title of the aim
   * @param edit all of it, as one step; left out where nothing fits
   * @param now what all that was asked about costs as it hangs, where that may move
   */
  record ArrangeView(
      int version, String title, Proposal proposal, Optional<Edit> edit, Optional<Cost> now) {}

  @PostMapping
  @Operation(
      summary =
          "Where pieces would hang, with the reason for each; nothing is done. What brings a fault"
              + " or a risk that was not there is left; at most four are worked out at once")
  ArrangeView propose(@PathVariable String id, @RequestBody ArrangeRequest request) {
    LiveDisplay.Look look = displays.get(id).look();
    Facts facts = look.facts();
    Set<String> wanted = wanted(facts, request, MOST_PIECES);
    Asked asked =
        new Asked(
            wanted,
            request.aim(),
            request.spread().orElse(false),
            request.moves(),
            given(id, facts));
    Proposal proposal =
        arranging.under(
            id,
            request.running().orElseGet(() -> UUID.randomUUID().toString()),
            progress -> Arrange.of(facts, asked, progress));
    Optional<Cost> now =
        request.moves()
            ? Optional.of(Arrange.asItHangs(facts, wanted, request.aim()))
            : Optional.empty();
    return new ArrangeView(
        look.version(), request.aim().title(), proposal, proposal.edit().map(edit -> edit), now);
  }

  /** Controllers whose configurations were given: what hangs on them stays. */
  private Set<String> given(String id, Facts facts) {
    Season season = seasons.of(id);
    return facts.plan().display().controllers().stream()
        .map(Controller::id)
        .filter(one -> season.of(one).flatMap(Handed::given).isPresent())
        .collect(Collectors.toSet());
  }

  /**
   * How far a proposal is.
   *
   * @param phase what is being done; left out where none of that name is being worked out
   * @param done steps of the phase
   * @param of how many; 0 where nobody knows
   */
  record ArrangeStepView(Optional<Progress.Phase> phase, int done, int of) {}

  @GetMapping("/running/{name}")
  @Operation(summary = "How far a proposal is that is being worked out")
  ArrangeStepView running(@PathVariable String id, @PathVariable String name) {
    return arranging
        .step(id, name)
        .map(step -> new ArrangeStepView(Optional.of(step.phase()), step.done(), step.of()))
        .orElse(new ArrangeStepView(Optional.empty(), 0, 0));
  }

  @PostMapping("/running/{name}/stop")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  @Operation(summary = "Stop a proposal; whoever waits for it gets what there is by then")
  void stop(@PathVariable String id, @PathVariable String name) {
    arranging.stop(id, name);
  }

  private static Set<String> wanted(Facts facts, ArrangeRequest request, int most) {
    Set<String> all = request.moves() ? Arrange.all(facts.plan()) : Arrange.loose(facts.plan());
    Set<String> wanted = request.pieces().isEmpty() ? all : request.pieces();
    Require.inRange("pieces", wanted.size(), 0, most);
    List<String> unknown =
        wanted.stream().filter(piece -> facts.plan().piece(piece).isEmpty()).sorted().toList();
    Require.that(unknown.isEmpty(), "pieces", unknown, "no piece of this display has such an id");
    return wanted;
  }

  /**
   * What would make more pieces fit.
   *
   * @param additions the fewest changes, each tried
   */
  record MissingView(int version, List<Missing.Addition> additions) {}

  @PostMapping("/missing")
  @Operation(
      summary =
          "What to change or add so that pieces fit that fit nowhere, each change tried; of at most"
              + " 500 pieces")
  MissingView missing(@PathVariable String id, @RequestBody ArrangeRequest request) {
    LiveDisplay.Look look = displays.get(id).look();
    Set<String> wanted = wanted(look.facts(), request, MOST_MISSING);
    return new MissingView(look.version(), Missing.of(look.facts(), wanted, request.aim()));
  }
}
