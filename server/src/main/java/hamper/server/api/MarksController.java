package hamper.server.api;

import hamper.handover.SeenRight;
import hamper.server.handover.Seasons;
import hamper.server.live.Displays;
import hamper.server.proof.ProofRuns;
import hamper.server.store.TrialStore;
import hamper.value.RefusedException;
import hamper.value.Require;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What was seen in trials: strings seen right by a person, and plans checked on stand-ins. */
@RestController
@RequestMapping("/api/displays/{id}/trial/marks")
@Tag(name = "trial")
class MarksController {
  private static final int MOST_PIECES = 20_000;

  private final Displays displays;
  private final TrialStore store;
  private final Seasons seasons;

  MarksController(Displays displays, TrialStore store, Seasons seasons, ProofRuns proofs) {
    this.displays = displays;
    this.store = store;
    this.seasons = seasons;
    proofs.follow(seasons::tell);
  }

  /** A string that a person has seen right. */
  record SeenMark(String piece, Instant at, String by) {}

  /**
   * @param strings that hang on a port
   * @param seen those of them that were seen right, as they are told and hang now
   * @param checked the last check of the whole plan on stand-ins; left out where there was none
   */
  record TrialMarks(int strings, List<SeenMark> seen, Optional<TrialStore.PlanCheck> checked) {
    TrialMarks {
      seen = List.copyOf(seen);
    }
  }

  /**
   * @param pieces ids of strings
   * @param seen whether they are right; else marks are taken off
   */
  record MarkRequest(Set<String> pieces, boolean seen) {
    MarkRequest {
      pieces = Set.copyOf(pieces);
      Require.inRange("pieces", pieces.size(), 1, MOST_PIECES);
    }
  }

  @GetMapping
  @Operation(summary = "Strings that a person has seen right, and the last check of the whole plan")
  TrialMarks marks(@PathVariable String id) {
    Map<String, String> now = SeenRight.fingerprints(displays.get(id).look().facts());
    List<SeenMark> seen =
        store.seen(id).stream()
            .filter(one -> one.holds(now))
            .map(one -> new SeenMark(one.piece(), one.at(), one.by()))
            .toList();
    return new TrialMarks(now.size(), seen, store.check(id));
  }

  @PutMapping
  @Operation(
      summary =
          "Say that strings were seen right, or take that back; 422 without the name of who stood"
              + " there, and for what hangs nowhere")
  TrialMarks mark(@PathVariable String id, @RequestBody MarkRequest request) {
    String by = Who.now();
    Map<String, String> now = SeenRight.fingerprints(displays.get(id).look().facts());
    if (request.seen()) {
      Require.that(
          !by.isEmpty(), "by", "nobody", "say who stood there: the mark is a person's word");
      store.mark(
          id, request.pieces().stream().map(piece -> seen(piece, by, now)).toList(), List.of());
    } else {
      store.mark(id, List.of(), request.pieces());
    }
    seasons.tell(id);
    return marks(id);
  }

  private static SeenRight seen(String piece, String by, Map<String, String> now) {
    if (!now.containsKey(piece)) {
      throw new RefusedException("pieces", piece, "it is no string that hangs on a port");
    }
    return new SeenRight(piece, Instant.now(), by, now.get(piece));
  }
}
