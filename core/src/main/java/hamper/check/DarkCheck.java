package hamper.check;

import hamper.display.Controller;
import hamper.display.HungLeg;
import hamper.display.HungRun;
import hamper.display.Section;
import hamper.facts.Facts;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/** A brightness of 0 % that leaves strings dark. */
final class DarkCheck extends Check {
  DarkCheck() {
    super(
        "brightness-zero",
        Area.PORTS,
        Severity.RISK,
        "A brightness of 0 %",
        "The brightness in force for each section with 0 %: told at the controller or the port where that makes all dark, else at the string",
        "It stays dark whatever the show says.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    for (Controller controller : facts.plan().controllers().all()) {
      List<HungRun> runs =
          facts.plan().runsOf(controller).stream().filter(HungRun::carriesPixels).toList();
      List<HungRun> dark =
          runs.stream().filter(run -> run.legs().stream().allMatch(leg -> all(run, leg))).toList();
      if (!runs.isEmpty()
          && dark.size() == runs.size()
          && controller.settings().brightness().equals(NONE)) {
        out.accept(told(controller.tag(), Subject.controller(controller.id())));
      } else {
        runs.forEach(run -> check(run, dark.contains(run), out));
      }
    }
  }

  private static final Optional<Integer> NONE = Optional.of(0);

  private void check(HungRun run, boolean dark, Consumer<Finding> out) {
    if (dark && run.run().brightness().equals(NONE)) {
      out.accept(told(run.written(), Subject.port(run.port())));
      return;
    }
    for (HungLeg leg : run.legs()) {
      if (leg.at().string().sections().stream().anyMatch(section -> isDark(run, leg, section))) {
        out.accept(
            told(
                "%s on %s".formatted(leg.at().title(), run.written()),
                Subject.leg(run.port(), leg.leg().piece())));
      }
    }
  }

  private static boolean all(HungRun run, HungLeg leg) {
    return leg.at().string().sections().stream().allMatch(section -> isDark(run, leg, section));
  }

  private static boolean isDark(HungRun run, HungLeg leg, Section section) {
    return run.brightness(leg.at(), section) == 0;
  }

  private Finding told(String what, Subject subject) {
    return finding(
        what + " is planned at 0 %",
        Measure.count(0, "%"),
        Measure.words("more than 0 %"),
        List.of(subject));
  }
}
