package hamper.advise;

import hamper.catalog.PortKind;
import hamper.catalog.PortMode;
import hamper.display.Controller;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.Run;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Ports on which nothing hangs. */
final class EmptyPorts {
  private EmptyPorts() {}

  /** Those of a controller in its present mode, the first first. */
  static Stream<PortRef> of(Plan plan, Controller controller, PortKind kind) {
    int most = plan.modeOf(controller, kind).map(PortMode::ports).orElse(0);
    return IntStream.rangeClosed(1, most)
        .filter(
            port ->
                controller.run(kind, port).map(Run::legs).stream().allMatch(legs -> legs.isEmpty()))
        .mapToObj(port -> new PortRef(controller.id(), kind, port));
  }
}
