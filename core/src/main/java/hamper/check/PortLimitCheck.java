package hamper.check;

import hamper.display.PortLimit;
import hamper.facts.Facts;
import hamper.load.PortLoad;
import hamper.value.Decimals;
import java.util.List;
import java.util.function.Consumer;

/** More pixels on a port than the model drives, or than fit in a frame. */
final class PortLimitCheck extends Check {
  PortLimitCheck() {
    super(
        "port-limit",
        Area.PORTS,
        Severity.FAULT,
        "Too many pixels on a port",
        "Pixels and null pixels of a run with the lower of two limits: the model's for this pixel type and mode, and what fits in the show's frame",
        "The device refuses all that it is told, or the last pixels stay dark, or the port stutters.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    facts.loads().stream()
        .filter(load -> load.over() > 0)
        .forEach(load -> out.accept(told(facts, load)));
  }

  private Finding told(Facts facts, PortLoad load) {
    int rate = facts.plan().display().settings().framesPerSecond();
    String why =
        load.limitBy() == PortLimit.By.MODEL
            ? "the model drives %d".formatted(load.limit())
            : "%d fit in a frame of %s ms at %d frames/s"
                .formatted(load.limit(), Decimals.of(1000.0 / rate, 1), rate);
    return finding(
        "%s carries %d pixels%s, %d too many: %s"
            .formatted(
                facts.plan().written(load.port()),
                load.places(),
                load.nullPixels() > 0 ? " (%d null)".formatted(load.nullPixels()) : "",
                load.over(),
                why),
        Measure.count(load.places(), "pixels"),
        Measure.count(load.limit(), "pixels"),
        List.of(Subject.port(load.port())));
  }
}
