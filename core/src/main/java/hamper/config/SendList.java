package hamper.config;

import hamper.address.MulticastGroup;
import hamper.address.Protocol;
import hamper.display.Controller;
import hamper.display.Plan;
import hamper.display.Sending;
import hamper.resolve.ControllerBlock;
import hamper.resolve.Resolution;
import hamper.resolve.Resolver;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The send list: controllers in list order, the flowing part of each before its DMX universes. */
public final class SendList {
  private SendList() {}

  public static List<SendLine> of(Plan plan, Resolution resolution) {
    List<SendLine> lines = new ArrayList<>();
    List<Controller> controllers = plan.display().controllers();
    for (int i = 0; i < controllers.size(); i++) {
      // a device that plays its own storage is sent nothing but its start
      if (!controllers.get(i).sending().fromStorage()) {
        lines.addAll(toOne(plan, resolution, i));
      }
    }
    return lines;
  }

  /**
   * What is sent to one controller where it is fed live, be it that it plays its own storage else.
   *
   * @param index of the controller in its list
   */
  public static List<SendLine> toOne(Plan plan, Resolution resolution, int index) {
    List<SendLine> lines = new ArrayList<>();
    add(lines, plan, plan.display().controllers().get(index), resolution.blocks().get(index));
    return lines;
  }

  private static void add(
      List<SendLine> lines, Plan plan, Controller controller, ControllerBlock block) {
    Optional<String> source = controller.settings().source();
    add(lines, plan, controller, block, source, Sending.PRIORITY);
    if (controller.protocol() == Protocol.E131 && controller.sending().backup().isPresent()) {
      add(lines, plan, controller, block, controller.sending().backup(), Sending.BACKUP_PRIORITY);
    }
  }

  private static void add(
      List<SendLine> lines,
      Plan plan,
      Controller controller,
      ControllerBlock block,
      Optional<String> source,
      int priority) {
    Line line = new Line(plan, controller, source, priority);
    if (controller.protocol() == Protocol.DDP && block.sentBytes() > 0) {
      lines.add(line.bytes(block.sentBytes(), block.displayStart()));
    }
    int size = controller.settings().universeSize();
    if (block.firstUniverse().isPresent() && block.sentUniverses(size) > 0) {
      lines.add(
          line.universes(
              block.firstUniverse().get(), block.sentUniverses(size), size, block.displayStart()));
    }
    block
        .dmxUniverses()
        .forEach(
            (port, universe) -> {
              int start = block.displayStart() + block.dmxStart(port) - 1;
              lines.add(line.universes(universe, 1, Resolver.DMX_SLOTS, start));
            });
  }

  /** What all lines to one controller from one source have in common. */
  private record Line(Plan plan, Controller controller, Optional<String> source, int priority) {
    SendLine bytes(int bytes, int displayStart) {
      return line(
          destination(controller, 0), Optional.empty(), 0, bytes, Optional.of(0), displayStart);
    }

    SendLine universes(int first, int count, int size, int displayStart) {
      return line(
          destination(controller, first),
          Optional.of(first),
          count,
          size,
          Optional.empty(),
          displayStart);
    }

    private SendLine line(
        Destination destination,
        Optional<Integer> first,
        int count,
        int size,
        Optional<Integer> offset,
        int displayStart) {
      boolean prioritized = controller.protocol() == Protocol.E131;
      return new SendLine(
          source,
          source.map(id -> plan.existingController(id).tag()),
          controller.id(),
          controller.tag(),
          controller.protocol(),
          controller.transport(),
          destination.kind(),
          destination.written(),
          first,
          count,
          size,
          offset,
          prioritized ? Optional.of(priority) : Optional.empty(),
          controller.sending().fullUniverses(),
          controller.sending().synchronization(),
          displayStart);
    }
  }

  private record Destination(SendLine.Kind kind, String written) {}

  private static Destination destination(Controller controller, int universe) {
    return switch (controller.transport()) {
      case UNICAST -> unicast(controller);
      case MULTICAST -> new Destination(SendLine.Kind.GROUP, MulticastGroup.of(universe));
      case BROADCAST -> new Destination(SendLine.Kind.BROADCAST, "broadcast");
    };
  }

  private static Destination unicast(Controller controller) {
    String name = controller.sending().hostName();
    if (controller.address().isPresent()) {
      return new Destination(SendLine.Kind.ADDRESS, controller.address().get().text());
    }
    return name.isEmpty()
        ? new Destination(SendLine.Kind.NONE, "no address")
        : new Destination(SendLine.Kind.NAME, name);
  }
}
