package hamper.server.api;

import hamper.server.live.Displays;
import hamper.server.trial.StandInSwitches;
import hamper.server.trial.TrialLook;
import hamper.server.trial.TrialLooks;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.io.IOException;
import java.util.List;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What lights show beside what they are meant to. */
@RestController
@RequestMapping("/api/displays/{id}/trial")
@Tag(name = "trial")
class TrialPlaceController {
  private final Displays displays;
  private final TrialLooks looks;
  private final StandInSwitches switches;

  TrialPlaceController(Displays displays, TrialLooks looks, StandInSwitches switches) {
    this.displays = displays;
    this.looks = looks;
    this.switches = switches;
  }

  /**
   * @param controller its id
   * @param misbehaviour as giving.md writes it
   */
  record MisbehaviourRequest(String controller, String misbehaviour, boolean on) {}

  /**
   * @param controller its id
   */
  record TestRequest(String controller, boolean on) {}

  @GetMapping
  @Operation(summary = "Meant beside shown for every pixel, with what arrived")
  TrialLook look(@PathVariable String id) throws IOException, InterruptedException {
    return looks.look(id);
  }

  @GetMapping("/misbehaviours")
  @Operation(summary = "What stand-ins can do that nobody planned")
  List<StandInSwitches.MisbehaviourKind> misbehaviours(@PathVariable String id) {
    displays.get(id);
    return StandInSwitches.kinds();
  }

  @PutMapping("/misbehaviour")
  @Operation(summary = "Switch what a stand-in does that nobody planned; refused live")
  ResponseEntity<Void> misbehave(@PathVariable String id, @RequestBody MisbehaviourRequest asked)
      throws IOException, InterruptedException {
    switches.misbehave(
        id, displays.get(id).look().facts(), asked.controller(), asked.misbehaviour(), asked.on());
    return ResponseEntity.noContent().build();
  }

  @PutMapping("/test")
  @Operation(summary = "A device's own test: everything full, whatever it was told; refused live")
  ResponseEntity<Void> test(@PathVariable String id, @RequestBody TestRequest asked)
      throws IOException, InterruptedException {
    switches.test(id, displays.get(id).look().facts(), asked.controller(), asked.on());
    return ResponseEntity.noContent().build();
  }

  /**
   * @param controller its id
   */
  record RestartRequest(String controller) {}

  @PostMapping("/restart")
  @Operation(summary = "Take a device's power away and give it back; refused live")
  ResponseEntity<Void> restart(@PathVariable String id, @RequestBody RestartRequest asked)
      throws IOException, InterruptedException {
    switches.restart(id, displays.get(id).look().facts(), asked.controller());
    return ResponseEntity.noContent().build();
  }
}
