package hamper.server.api;

import hamper.server.live.Displays;
import hamper.server.proof.ProofRuns;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Whether every pixel shows what was meant, tried on stand-ins. */
@RestController
@RequestMapping("/api/displays/{id}/proof")
@Tag(name = "proof")
class ProofController {
  private final Displays displays;
  private final ProofRuns runs;

  ProofController(Displays displays, ProofRuns runs) {
    this.displays = displays;
    this.runs = runs;
  }

  @PostMapping
  @Operation(summary = "Begin a proof; one that is on its way goes on")
  ProofRuns.ProofRun start(@PathVariable String id) {
    var look = displays.get(id).look();
    return runs.start(id, look.version(), look.facts());
  }

  @GetMapping
  @Operation(summary = "How far the proof is, or what it found; 204 where there was none")
  ResponseEntity<ProofRuns.ProofRun> now(@PathVariable String id) {
    displays.get(id);
    return runs.of(id).map(ResponseEntity::ok).orElseGet(() -> ResponseEntity.noContent().build());
  }

  @DeleteMapping
  @Operation(summary = "Stop the proof that is on its way")
  ResponseEntity<Void> stop(@PathVariable String id) {
    displays.get(id);
    runs.stop(id);
    return ResponseEntity.noContent().build();
  }
}
