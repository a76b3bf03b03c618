package hamper.resolve;

import hamper.address.ChannelSpan;
import hamper.address.PortStart;
import hamper.address.ReservedChannels;
import hamper.address.StartsPer;
import hamper.address.UniverseChannel;
import hamper.address.UniverseGrid;
import hamper.catalog.PortKind;
import hamper.display.Hold;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * Holds first, then everything else flows round them: ports by number, sections in wire order, one
 * cursor that never goes back. Cost O(n log n) in sections.
 *
 * <p>Source: the addressing rules, "Hold, flow, mirror".
 */
final class Flow {
  private final Line line;
  private final List<ChannelSpan> heldSpans = new ArrayList<>();

  private Flow(Line line) {
    this.line = line;
  }

  /** Lays every item of the flowing part that is not a mirror. */
  static void lay(Line line) {
    Flow flow = new Flow(line);
    line.flowing.forEach(flow::holdRun);
    ReservedChannels reserved = ReservedChannels.of(flow.heldSpans);
    int cursor = 1;
    for (List<Item> run : line.flowing) {
      cursor = flow.flowRun(run, cursor, reserved);
    }
  }

  private void holdRun(List<Item> run) {
    if (run.stream().allMatch(item -> item.hold.isEmpty())) {
      return;
    }
    run.stream()
        .filter(item -> item.isMirror() && item.hold.isPresent())
        .forEach(item -> line.report(LayoutProblem.Kind.HOLD_ON_MIRROR, item));
    if (line.inForce.startsPer() == StartsPer.SECTION) {
      run.forEach(this::holdSection);
      return;
    }
    Item first = run.get(0);
    run.stream()
        .filter(item -> item != first && !item.isMirror() && item.hold.isPresent())
        .forEach(item -> line.report(LayoutProblem.Kind.HOLD_INSIDE_PORT, item));
    if (first.isMirror()) {
      return;
    }
    OptionalInt at = heldChannel(first);
    if (at.isPresent()) {
      List<Item> own = run.stream().filter(item -> !item.isMirror()).toList();
      heldSpans.add(layTogether(own, at.getAsInt()));
      own.forEach(item -> item.held = true);
    }
  }

  private void holdSection(Item item) {
    if (item.isMirror()) {
      return;
    }
    OptionalInt at = heldChannel(item);
    if (at.isPresent()) {
      item.held = true;
      heldSpans.add(layTogether(List.of(item), at.getAsInt()));
    }
  }

  /** The controller channel of an item's hold; empty where it has none or it cannot act. */
  private OptionalInt heldChannel(Item item) {
    if (item.hold.isEmpty()) {
      return OptionalInt.empty();
    }
    Hold hold = item.hold.get();
    if (hold.universe().isEmpty()) {
      return OptionalInt.of(hold.channel());
    }
    Optional<Integer> first = line.controller.settings().firstUniverse();
    if (first.isEmpty() || !line.usesUniverses()) {
      line.report(LayoutProblem.Kind.HOLD_WITHOUT_FIXED_UNIVERSE, item);
      return OptionalInt.empty();
    }
    long channel =
        new UniverseGrid(first.get(), line.inForce.universeSize())
            .controllerChannel(new UniverseChannel(hold.universe().get(), hold.channel()));
    if (channel < 1
        || channel > Hold.MOST_CHANNELS
        || hold.channel() > line.inForce.universeSize()) {
      line.report(LayoutProblem.Kind.HOLD_OUTSIDE_BLOCK, item);
      return OptionalInt.empty();
    }
    return OptionalInt.of((int) channel);
  }

  private int flowRun(List<Item> run, int cursor, ReservedChannels reserved) {
    boolean opensPort =
        line.inForce.portStart() == PortStart.NEXT_UNIVERSE
            && run.get(0).port.kind() == PortKind.PIXEL;
    if (line.inForce.startsPer() == StartsPer.PORT) {
      List<Item> flowing = run.stream().filter(Flow::flows).toList();
      return flowing.isEmpty() ? cursor : flowTogether(flowing, cursor, opensPort, reserved);
    }
    int at = cursor;
    boolean opens = opensPort;
    for (Item item : run) {
      if (flows(item)) {
        at = flowAlone(item, at, opens, reserved);
        opens = false;
      }
    }
    return at;
  }

  /** Neither a mirror nor held. */
  private static boolean flows(Item item) {
    return !item.isMirror() && item.span == null;
  }

  /** Lays items one after another, all moving on together until they are clear. */
  private int flowTogether(
      List<Item> items, int cursor, boolean opensPort, ReservedChannels reserved) {
    int from = cursor;
    while (true) {
      ChannelSpan common = layTogether(items, opensPort ? nextBoundary(from) : from);
      Optional<ChannelSpan> hit = reserved.firstTouching(common);
      if (hit.isEmpty()) {
        return common.end();
      }
      from = hit.get().end();
    }
  }

  private int flowAlone(Item item, int cursor, boolean opensPort, ReservedChannels reserved) {
    int from = cursor;
    while (true) {
      lay(item, opensPort ? nextBoundary(from) : from);
      Optional<ChannelSpan> hit = reserved.firstTouching(item.span);
      if (hit.isEmpty()) {
        return item.span.end();
      }
      from = hit.get().end();
    }
  }

  private ChannelSpan layTogether(List<Item> items, int from) {
    int at = from;
    for (Item item : items) {
      lay(item, at);
      at = item.span.end();
    }
    return items.get(0).span.through(items.get(items.size() - 1).span);
  }

  private void lay(Item item, int from) {
    item.span =
        line.inForce.packing().lay(line.inForce.universeSize(), from, item.addresses, item.width);
  }

  private int nextBoundary(int channel) {
    int used = (channel - 1) % line.inForce.universeSize();
    return used == 0 ? channel : channel - used + line.inForce.universeSize();
  }
}
