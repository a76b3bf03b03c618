package hamper.server.api;

import hamper.advise.FeedPlan;
import hamper.check.Measure;
import hamper.display.HungRun;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.Supply;
import hamper.display.Whereabouts;
import hamper.edit.Edit;
import hamper.load.RunCurves;
import hamper.load.RunPowers;
import hamper.server.live.Displays;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.List;
import java.util.Optional;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Voltages along a run, and feeds for all runs that want some. */
@RestController
@RequestMapping("/api/displays/{id}/power")
@Tag(name = "power")
class PowerController {
  private final Displays displays;

  PowerController(Displays displays) {
    this.displays = displays;
  }

  /**
   * @param edit to be tried on the way, such as a feed that is being dragged
   */
  record RunRequest(PortRef port, Optional<Edit> edit) {}

  /**
   * A run with its voltages.
   *
   * @param power left out where no pixels hang there
   */
  record RunView(Optional<RunPowerView> power, Optional<RunCurves> curves) {}

  /**
   * @param edit that adds all of them as one step; left out where none are wanted or none help
   * @param runs that get feeds
   * @param supplies that it brings along, in words
   * @param left ports that no choice of feeds sets right, as on their cable tags
   */
  record FeedPlanView(
      Optional<Edit> edit, int runs, int feeds, List<String> supplies, List<String> left) {}

  @PostMapping("/run")
  @Operation(summary = "The voltage along a run, as it is or with an edit tried; nothing is kept")
  RunView run(@PathVariable String id, @RequestBody RunRequest request) {
    Plan now = displays.get(id).look().facts().plan();
    Plan plan = request.edit().map(edit -> edit.applyTo(now).plan()).orElse(now);
    plan.existingController(request.port().controller());
    Optional<HungRun> run = plan.run(request.port()).filter(HungRun::carriesPixels);
    return new RunView(
        run.map(one -> RunPowerView.of(RunPowers.of(plan, one))),
        run.map(one -> RunCurves.of(plan, one)));
  }

  @PostMapping("/feeds")
  @Operation(summary = "Feeds for every run that wants some, as one edit; nothing is kept")
  FeedPlanView feeds(@PathVariable String id) {
    Plan plan = displays.get(id).look().facts().plan();
    FeedPlan found = FeedPlan.of(plan);
    return new FeedPlanView(
        found.edit(),
        found.runs(),
        found.feeds(),
        found.supplies().stream().map(supply -> told(plan, supply)).toList(),
        found.left().stream().map(plan::written).toList());
  }

  /** Such as "Supply K3, 12 V 15 A, in Signal tower". */
  private static String told(Plan plan, Supply supply) {
    String where =
        Whereabouts.zone(plan, supply)
            .map(zone -> ", in " + plan.zones().existing(zone).name())
            .orElse("");
    return "%s, %s V %s A%s"
        .formatted(
            supply.name(),
            Measure.rated(supply.volts(), "").text().trim(),
            Measure.rated(supply.amps(), "").text().trim(),
            where);
  }
}
