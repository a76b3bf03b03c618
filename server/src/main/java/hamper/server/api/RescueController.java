package hamper.server.api;

import hamper.advise.Rescue;
import hamper.advise.RescueAnswer;
import hamper.facts.Facts;
import hamper.server.live.Displays;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.List;
import java.util.Optional;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What to do where a controller is dead. */
@RestController
@RequestMapping("/api/displays/{id}/rescue")
@Tag(name = "handover")
class RescueController {
  private final Displays displays;
  private final Standings standings;

  RescueController(Displays displays, Standings standings) {
    this.displays = displays;
    this.standings = standings;
  }

  /** An answer, and all that it would do to the plan where it changes it. */
  record RescueView(RescueAnswer answer, Optional<Preview> preview) {}

  @PostMapping("/{controller}")
  @Operation(
      summary =
          "Up to three answers to a dead controller, each with what is re-cabled, what senders are"
              + " told and what stays dark; none brings a new fault")
  List<RescueView> rescue(@PathVariable String id, @PathVariable String controller) {
    Facts facts = displays.get(id).look().facts();
    HandoverController.indexOf(facts, controller);
    Standing standing = standings.of(id, facts);
    return Rescue.of(facts, controller).stream()
        .map(
            answer ->
                new RescueView(answer, answer.edit().map(edit -> Deltas.preview(standing, edit))))
        .toList();
  }
}
