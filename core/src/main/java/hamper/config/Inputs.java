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
  private final Controller controller;
  private final Dialect dialect;
  private final ControllerBlock block;
  private final List<Range> ranges;

  /** Neighbouring universes of one size. */
  private record Range(int first, int count, int size) {
    int end() {
      return first + count;
    }
  }

  private Inputs(
      Plan plan, Controller controller, ControllerBlock block, List<Placement> placements) {
    this.controller = controller;
    this.dialect = plan.modelOf(controller).dialect();
    this.block = block;
    List<Range> all =
        controller
            .inputs()
            .map(inputs -> inputs.stream().map(Inputs::range).toList())
            .orElseGet(() -> needed(placements));
    this.ranges = all.stream().flatMap(range -> within(range).stream()).toList();
  }

  static Inputs of(
      Plan plan, Controller controller, ControllerBlock block, List<Placement> placements) {
    return new Inputs(plan, controller, block, placements);
  }

  /** How many universes a controller is to listen to, those of its DMX lines included; 0 on DDP. */
  public static int count(
      Plan plan, Controller controller, ControllerBlock block, List<Placement> placements) {
    return of(plan, controller, block, placements).ranges.stream().mapToInt(Range::count).sum()
        + block.dmxUniverses().size();
  }

  private static Range range(InputRange range) {
    return new Range(range.firstUniverse(), range.count(), range.size());
  }

  /** What of a range the protocol has; the rest is found elsewhere, and cannot be told. */
  private Optional<Range> within(Range range) {
    Protocol protocol = controller.protocol();
    int first = Math.max(range.first(), protocol.firstUniverse());
    int end = Math.min(range.end(), protocol.lastUniverse() + 1);
    return first < end
        ? Optional.of(new Range(first, end - first, range.size()))
        : Optional.empty();
  }

  /**
   * The universes that the outputs need: those of the flowing part, and those in which mirrors of
   * other controllers stand. A device that takes one range gets one that covers them all.
   */
  private List<Range> needed(List<Placement> placements) {
    if (!controller.protocol().usesUniverses()) {
      return List.of();
    }
    TreeSet<Integer> universes = new TreeSet<>();
    if (block.firstUniverse().isPresent()) {
      int first = block.firstUniverse().get();
      int last =
          Math.min(first + block.flowingUniverses(), controller.protocol().lastUniverse() + 1);
      for (int u = first; u < last; u++) {
        universes.add(u);
      }
    }
    for (Placement at : placements) {
      if (at.mirror() && at.controllerChannels().isEmpty() && at.start().isPresent()) {
        for (int u = at.start().get().universe(); u <= at.end().orElseThrow().universe(); u++) {
          universes.add(u);
        }
      }
    }
    int size = controller.settings().universeSize();
    if (dialect.inputs() == InputStyle.FIRST_COUNT && !universes.isEmpty()) {
      int first = universes.first();
      return List.of(new Range(first, universes.last() - first + 1, size));
    }
    List<Range> found = new ArrayList<>();
    universes.forEach(universe -> append(found, new Range(universe, 1, size)));
    return found;
  }

  /** A range that goes on where the last one ends becomes part of it. */
  private static void append(List<Range> ranges, Range range) {
    int top = ranges.size() - 1;
    Range last = top < 0 ? null : ranges.get(top);
    if (last != null && last.end() == range.first() && last.size() == range.size()) {
      ranges.set(top, new Range(last.first(), last.count() + range.count(), last.size()));
    } else {
      ranges.add(range);
    }
  }

  /** Ranges that were set by hand for a device that takes only one; empty where all is well. */
  Optional<String> tooMany() {
    List<Range> joined = new ArrayList<>();
    ranges.forEach(range -> append(joined, range));
    return dialect.inputs() == InputStyle.FIRST_COUNT && joined.size() > 1
        ? Optional.of(
            "%d ranges of universes: it takes a first universe and a count"
                .formatted(joined.size()))
        : Optional.empty();
  }

  /** Whether the device hears every universe from one to another. */
  boolean hears(int first, int last) {
    for (int u = first; u <= last; u++) {
      int universe = u;
      if (ranges.stream().noneMatch(at -> at.first() <= universe && universe < at.end())) {
        return false;
      }
    }
    return true;
  }

  /** How the device counts its own channels over these universes; nothing on DDP. */
  OwnChannels ownChannels() {
    List<OwnChannels.Heard> heard = new ArrayList<>();
    int next = 1;
    if (dialect.inputs() != InputStyle.MAP) {
      for (Range range : ranges) {
        heard.add(new OwnChannels.Heard(range.first(), range.count(), range.size(), next));
        next += range.count() * range.size();
      }
      return new OwnChannels(heard);
    }
    int beyond = block.flowingChannels() + 1;
    int size = controller.settings().universeSize();
    for (Range range : ranges) {
      for (int u = range.first(); u < range.end(); u++) {
        int start = beyond;
        if (block.firstUniverse().isPresent() && isOfBlock(u)) {
          start = (u - block.firstUniverse().get()) * size + 1;
        } else {
          beyond += range.size();
        }
        heard.add(new OwnChannels.Heard(u, 1, range.size(), start));
      }
    }
    return new OwnChannels(heard);
  }

  private boolean isOfBlock(int universe) {
    int first = block.firstUniverse().orElseThrow();
    return universe >= first && universe < first + block.flowingUniverses();
  }

  /** What the device is told, in its own numbering. */
  List<Input> tell() {
    if (controller.protocol() == Protocol.DDP) {
      return block.channels() == 0
          ? List.of()
          : List.of(
              new Input(Optional.empty(), 0, block.channels(), Optional.empty(), Optional.empty()));
    }
    List<Input> inputs = new ArrayList<>();
    if (dialect.inputs() == InputStyle.MAP) {
      for (OwnChannels.Heard one : ownChannels().heard()) {
        inputs.add(told(one.first(), 1, one.size(), Optional.of(one.start()), Optional.empty()));
      }
    } else {
      for (Range range : ranges) {
        inputs.add(
            told(range.first(), range.count(), range.size(), Optional.empty(), Optional.empty()));
      }
    }
    for (PortRef port : block.dmxPorts()) {
      int universe = block.dmxUniverses().get(port);
      if (controller.protocol().hasUniverse(universe)) {
        inputs.add(
            told(universe, 1, Resolver.DMX_SLOTS, Optional.empty(), Optional.of(port.port())));
      }
    }
    return inputs;
  }

  private Input told(
      int universe, int count, int size, Optional<Integer> start, Optional<Integer> dmxPort) {
    return new Input(
        Optional.of(dialect.written(controller.protocol(), universe)), count, size, start, dmxPort);
  }
}
