package hamper.advise;

import hamper.check.Finding;
import hamper.check.Subject;
import hamper.display.Controller;
import hamper.display.HungLeg;
import hamper.display.HungRun;
import hamper.display.PieceAt;
import hamper.display.Plan;
import hamper.display.Run;
import hamper.display.Section;
import hamper.edit.Edit;
import hamper.edit.EditsBetween;
import hamper.edit.SetSections;
import hamper.edit.Together;
import hamper.facts.Facts;
import hamper.load.FeedLoad;
import hamper.load.Island;
import hamper.load.RunPower;
import hamper.load.RunPowers;
import hamper.load.SiteLoads;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Lowers the brightness of a run, or of a whole controller, to the most that its fuses, its pixels
 * and its power inputs take.
 */
final class BrightnessAdviser implements Adviser {
  @Override
  public Stream<Edit> think(Facts facts, Finding finding) {
    Plan plan = facts.plan();
    Subject main = finding.subjects().get(0);
    return main.controller().map(plan::existingController).stream()
        .flatMap(controller -> lowered(plan, controller, scope(plan, controller, main)).stream());
  }

  /**
   * What is lowered.
   *
   * @param whole whether it is the controller and not one of its ports
   */
  private record Scope(boolean whole, List<HungRun> runs) {}

  private static Scope scope(Plan plan, Controller controller, Subject main) {
    return new Scope(
        main.port().isEmpty(),
        plan.runsOf(controller).stream()
            .filter(HungRun::carriesPixels)
            .filter(run -> main.port().isEmpty() || main.port().get().equals(run.port()))
            .toList());
  }

  private static Optional<Edit> lowered(Plan plan, Controller controller, Scope scope) {
    int low = 0;
    int high = scope.runs().stream().mapToInt(BrightnessAdviser::brightest).max().orElse(0);
    // the most that holds; current and voltage only get better with less
    while (low + 1 < high) {
      int middle = (low + high) / 2;
      Plan changed = edit(controller, scope, middle).applyTo(plan).plan();
      if (holds(changed, changed.existingController(controller.id()), scope)) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return low == 0 ? Optional.empty() : Optional.of(edit(controller, scope, low));
  }

  private static boolean holds(Plan plan, Controller controller, Scope scope) {
    List<RunPower> all = RunPowers.of(plan, controller).toList();
    boolean inputs =
        SiteLoads.of(plan, List.of(), all).inputs().stream()
            .allMatch(load -> load.amps() <= load.rating().amps() * SiteLoads.PLANNED_SHARE);
    return (!scope.whole() || inputs)
        && all.stream()
            .filter(power -> scope.runs().stream().anyMatch(run -> run.port().equals(power.port())))
            .allMatch(BrightnessAdviser::holds);
  }

  private static boolean holds(RunPower power) {
    return power.feeds().allMatch(BrightnessAdviser::holds)
        && power.islands().stream()
            .flatMap(island -> island.reaches().stream())
            .allMatch(BrightnessAdviser::holds);
  }

  private static boolean holds(FeedLoad feed) {
    return feed.fuseAmps().isEmpty()
        || feed.amps() <= feed.fuseAmps().get() * SiteLoads.PLANNED_SHARE;
  }

  private static boolean holds(Island.Reach reach) {
    return reach.volts().isEmpty() || reach.volts().get().volts() >= reach.plannedVolts();
  }

  private static int brightest(HungRun run) {
    int most = 0;
    for (HungLeg leg : run.legs()) {
      for (Section section : leg.at().string().sections()) {
        most = Math.max(most, run.brightness(leg.at(), section));
      }
    }
    return most;
  }

  /** So many percent at most, also for those ports and sections with a brightness of their own. */
  private static Edit edit(Controller controller, Scope scope, int percent) {
    Controller lowered = controller;
    if (scope.whole()) {
      lowered = lowered.withSettings(lowered.settings().withBrightness(Optional.of(percent)));
    }
    List<Edit> sections = new ArrayList<>();
    for (HungRun hung : scope.runs()) {
      Run run = hung.run();
      if (!scope.whole() || run.brightness().isPresent()) {
        int least = Math.min(percent, run.brightness().orElse(percent));
        lowered = lowered.withRun(run.withBrightness(Optional.of(least)));
      }
      sections.addAll(sections(hung, percent));
    }
    String what = scope.whole() ? controller.tag() : scope.runs().get(0).written();
    return new Together(
        "Lower %s to %d %%".formatted(what, percent),
        Stream.concat(EditsBetween.of(controller, lowered).stream(), sections.stream()).toList());
  }

  private static List<Edit> sections(HungRun run, int percent) {
    List<Edit> edits = new ArrayList<>();
    for (HungLeg leg : run.legs()) {
      PieceAt at = leg.at();
      List<Section> sections = at.string().sections();
      for (int i = 0; i < sections.size(); i++) {
        Section section = sections.get(i);
        boolean own = section.brightness().isPresent() || at.prop().brightness().isPresent();
        if (own && run.brightness(at, section) > percent) {
          edits.add(
              SetSections.brightness(new SetSections.At(leg.leg().piece(), i), section, percent));
        }
      }
    }
    return edits;
  }
}
