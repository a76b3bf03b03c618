package hamper.config;

import hamper.address.Protocol;
import hamper.catalog.Dialect;
import hamper.catalog.InputStyle;
import hamper.display.Controller;
import hamper.display.InputRange;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.resolve.ControllerBlock;
import hamper.resolve.Resolver;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What a device is told to listen to: set by hand, or as the outputs need. */
public final class Inputs {
  private Inputs() {}

  /**
   * The universes of the flowing part that the outputs need; empty on DDP or where there are none.
   */
  public static List<InputRange> needed(Controller controller, ControllerBlock block) {
    return block
        .firstUniverse()
        .filter(first -> block.flowingUniverses() > 0)
        .map(
            first ->
                List.of(
                    new InputRange(
                        first, block.flowingUniverses(), controller.settings().universeSize())))
        .orElse(List.of());
  }

  static List<Input> tell(Plan plan, Controller controller, ControllerBlock block) {
    Dialect dialect = plan.modelOf(controller).dialect();
    List<Input> inputs = new ArrayList<>();
    if (controller.protocol() == Protocol.DDP) {
      if (block.channels() > 0) {
        inputs.add(
            new Input(Optional.empty(), 0, block.channels(), Optional.empty(), Optional.empty()));
      }
      return inputs;
    }
    int start = 1;
    for (InputRange range : controller.inputs().orElse(needed(controller, block))) {
      if (dialect.inputs() == InputStyle.MAP) {
        for (int i = 0; i < range.count(); i++) {
          inputs.add(told(dialect, controller, range.firstUniverse() + i, 1, range.size(), start));
          start += range.size();
        }
      } else {
        inputs.add(
            told(dialect, controller, range.firstUniverse(), range.count(), range.size(), 0));
      }
    }
    for (PortRef port : block.dmxPorts()) {
      int universe = block.dmxUniverses().get(port);
      inputs.add(
          new Input(
              Optional.of(dialect.written(controller.protocol(), universe)),
              1,
              Resolver.DMX_SLOTS,
              Optional.empty(),
              Optional.of(port.port())));
    }
    return inputs;
  }

  private static Input told(
      Dialect dialect, Controller controller, int universe, int count, int size, int start) {
    return new Input(
        Optional.of(dialect.written(controller.protocol(), universe)),
        count,
        size,
        start == 0 ? Optional.empty() : Optional.of(start),
        Optional.empty());
  }
}
