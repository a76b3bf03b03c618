package hamper.config;

import hamper.address.Protocol;
import hamper.catalog.Dialect;
import hamper.catalog.InputStyle;
import hamper.display.Controller;
import hamper.display.InputRange;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.resolve.ControllerBlock;
import hamper.resolve.Placement;
import hamper.resolve.Resolver;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;

/** What a device is told to listen to: set by hand, or as the outputs need. */
public final class Inputs {
  private Inputs() {}

  /**
   * The universes that the outputs need: those of the flowing part, and those in which mirrors of
   * other controllers stand. Empty on DDP or where there are none.
   */
  public static List<InputRange> needed(
      Controller controller, ControllerBlock block, List<Placement> placements) {
    TreeSet<Integer> universes = new TreeSet<>();
    block
        .firstUniverse()
        .ifPresent(
            first -> {
              for (int u = 0; u < block.flowingUniverses(); u++) {
                universes.add(first + u);
              }
            });
    for (Placement at : placements) {
      if (at.mirror() && at.controllerChannels().isEmpty() && at.start().isPresent()) {
        for (int u = at.start().get().universe(); u <= at.end().orElseThrow().universe(); u++) {
          universes.add(u);
        }
      }
    }
    return ranges(universes, controller.settings().universeSize());
  }

  private static List<InputRange> ranges(TreeSet<Integer> universes, int size) {
    List<InputRange> ranges = new ArrayList<>();
    for (int universe : universes) {
      int top = ranges.size() - 1;
      InputRange last = top < 0 ? null : ranges.get(top);
      if (last != null && last.firstUniverse() + last.count() == universe) {
        ranges.set(top, new InputRange(last.firstUniverse(), last.count() + 1, size));
      } else {
        ranges.add(new InputRange(universe, 1, size));
      }
    }
    return ranges;
  }

  static List<Input> tell(
      Plan plan, Controller controller, ControllerBlock block, List<Placement> placements) {
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
    for (InputRange range : controller.inputs().orElse(needed(controller, block, placements))) {
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
