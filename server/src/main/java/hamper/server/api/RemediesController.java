package hamper.server.api;

import hamper.advise.Remedies;
import hamper.check.Checks;
import hamper.edit.Edit;
import hamper.facts.Facts;
import hamper.server.live.Displays;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.List;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What would settle a finding. */
@RestController
@RequestMapping("/api/displays/{id}/remedies")
@Tag(name = "findings")
class RemediesController {
  private final Displays displays;

  private final Standings standings;

  RemediesController(Displays displays, Standings standings) {
    this.standings = standings;
    this.displays = displays;
  }

  /** The finding to be settled. */
  record RemediesRequest(String identity) {}

  /** An edit that settles it, and all that it would do. */
  record RemedyView(Edit edit, Preview preview) {}

  @PostMapping
  @Operation(summary = "Edits that clear a finding and bring no new fault, each with its preview")
  List<RemedyView> remedies(@PathVariable String id, @RequestBody RemediesRequest request) {
    Facts facts = displays.get(id).look().facts();
    Standing standing = standings.of(id, facts);
    return Checks.all(facts, standing.season()).stream()
        .filter(one -> one.identity().equals(request.identity()))
        .findFirst()
        .map(finding -> Remedies.of(facts, standing.season(), finding))
        .orElse(List.of())
        .stream()
        .map(edit -> new RemedyView(edit, Deltas.preview(standing, edit)))
        .toList();
  }
}
