package hamper.server.api;

import hamper.arrange.Aim;
import hamper.arrange.Arrange;
import hamper.arrange.Missing;
import hamper.arrange.Proposal;
import hamper.edit.Edit;
import hamper.facts.Facts;
import hamper.server.live.Displays;
import hamper.server.live.LiveDisplay;
import hamper.value.Require;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Where pieces that hang nowhere would hang. */
@RestController
@RequestMapping("/api/displays/{id}/arrange")
@Tag(name = "arrange")
class ArrangeController {
  private static final int MOST_PIECES = 2_000;

  /** Each change is tried with all of them. */
  private static final int MOST_MISSING = 500;

  private final Displays displays;

  ArrangeController(Displays displays) {
    this.displays = displays;
  }

  /**
   * @param pieces ids; those that hang stay where they are; none: all that hang nowhere
   */
  record ArrangeRequest(Aim aim, Set<String> pieces) {
    ArrangeRequest {
      pieces = Set.copyOf(pieces);
      Require.inRange("pieces", pieces.size(), 0, MOST_PIECES);
    }
  }

  /**
   * A proposal as it stood at a version.
   *
   * @param title of the aim
   * @param edit all of it, as one step; left out where nothing fits
   */
  record ArrangeView(int version, String title, Proposal proposal, Optional<Edit> edit) {}

  @PostMapping
  @Operation(
      summary =
          "Where pieces that hang nowhere would hang, with the reason for each; nothing is done."
              + " What brings a fault or a risk that was not there is left")
  ArrangeView propose(@PathVariable String id, @RequestBody ArrangeRequest request) {
    LiveDisplay.Look look = displays.get(id).look();
    Facts facts = look.facts();
    Proposal proposal = Arrange.of(facts, wanted(facts, request, MOST_PIECES), request.aim());
    return new ArrangeView(
        look.version(), request.aim().title(), proposal, proposal.edit().map(edit -> edit));
  }

  private static Set<String> wanted(Facts facts, ArrangeRequest request, int most) {
    Set<String> loose = Arrange.loose(facts.plan());
    Set<String> wanted = request.pieces().isEmpty() ? loose : request.pieces();
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
