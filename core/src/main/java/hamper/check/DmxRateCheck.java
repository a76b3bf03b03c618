package hamper.check;

import hamper.display.HungRun;
import hamper.facts.Facts;
import hamper.load.DmxLine;
import java.util.List;
import java.util.function.Consumer;

/** A DMX line that cannot be sent as often as the show has frames. */
final class DmxRateCheck extends Check {
  DmxRateCheck() {
    super(
        "dmx-rate",
        Area.PORTS,
        Severity.RISK,
        "A DMX line is slower than the show",
        "Time to send each line up to its last used slot, or all 512 where full universes are sent, max(1204, 188 + 44 × (1 + slots)) µs, with the show's frame",
        "What hangs on the line gets fewer steps than the rest; fast fades stutter there.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    double rate = facts.plan().display().settings().framesPerSecond();
    facts
        .plan()
        .runs()
        .forEach(run -> DmxLine.of(run, rate).ifPresent(line -> check(run, line, rate, out)));
  }

  private void check(HungRun run, DmxLine line, double rate, Consumer<Finding> out) {
    if (line.frameShare() > 1) {
      Measure found = Measure.of(line.micros() / 1000, 1, "ms");
      Measure allowed = Measure.of(1000 / rate, 1, "ms");
      out.accept(
          finding(
              "%s takes %s for %d slots, and a frame of the show is %s"
                  .formatted(run.written(), found, line.slots(), allowed),
              found,
              allowed,
              List.of(Subject.port(run.port()))));
    }
  }
}
