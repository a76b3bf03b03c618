package hamper.check;

import hamper.facts.Facts;
import hamper.load.PortLoad;
import hamper.value.Decimals;
import java.util.List;
import java.util.function.Consumer;

/** A port that fills nearly its whole frame. */
final class FrameHeadroomCheck extends Check {
  FrameHeadroomCheck() {
    super(
        "frame-headroom",
        Area.PORTS,
        Severity.HINT,
        "Hardly any time left in a frame",
        "Time to clock one frame out with 90 % of the show's frame; more than all of it is a fault of its own",
        "Nothing yet; a few more pixels, or a faster show, and the port stutters.");
  }

  private static final double SHARE = 0.9;

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    facts.loads().stream()
        .filter(load -> load.over() == 0 && load.frameShare() > SHARE)
        .forEach(load -> out.accept(told(facts, load)));
  }

  private Finding told(Facts facts, PortLoad load) {
    int percent = (int) Math.round(load.frameShare() * 100);
    return finding(
        "%s takes %s ms of a frame of %s ms, %d %%"
            .formatted(
                facts.plan().written(load.port()),
                Decimals.of(load.frameMicros() / 1000, 1),
                Decimals.of(1000.0 / facts.plan().display().settings().framesPerSecond(), 1),
                percent),
        Measure.count(percent, "%"),
        Measure.count(90, "%"),
        List.of(Subject.port(load.port())));
  }
}
