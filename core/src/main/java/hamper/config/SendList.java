package hamper.config;

import hamper.address.IpAddress;
import hamper.address.MulticastGroup;
import hamper.address.Protocol;
import hamper.display.Controller;
import hamper.display.Plan;
import hamper.display.PortRef;
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
      add(lines, plan, controllers.get(i), resolution.blocks().get(i));
    }
    return lines;
  }

  private static void add(
      List<SendLine> lines, Plan plan, Controller controller, ControllerBlock block) {
    if (controller.protocol() == Protocol.DDP && block.channels() > 0) {
      lines.add(bytes(plan, controller, block));
    }
    block
        .firstUniverse()
        .filter(first -> block.flowingUniverses() > 0)
        .ifPresent(
            first ->
                lines.add(
                    universes(
                        plan,
                        controller,
                        first,
                        block.flowingUniverses(),
                        controller.settings().universeSize(),
                        block.displayStart())));
    for (int i = 0; i < block.dmxPorts().size(); i++) {
      PortRef port = block.dmxPorts().get(i);
      int start = block.displayStart() + block.flowingChannels() + i * Resolver.DMX_SLOTS;
      Optional.ofNullable(block.dmxUniverses().get(port))
          .ifPresent(
              universe ->
                  lines.add(universes(plan, controller, universe, 1, Resolver.DMX_SLOTS, start)));
    }
  }

  private static SendLine bytes(Plan plan, Controller controller, ControllerBlock block) {
    return new SendLine(
        source(plan, controller),
        controller.tag(),
        controller.protocol(),
        controller.transport(),
        destination(controller, 0),
        Optional.empty(),
        0,
        block.channels(),
        Optional.of(0),
        block.displayStart());
  }

  private static SendLine universes(
      Plan plan, Controller controller, int first, int count, int size, int displayStart) {
    return new SendLine(
        source(plan, controller),
        controller.tag(),
        controller.protocol(),
        controller.transport(),
        destination(controller, first),
        Optional.of(first),
        count,
        size,
        Optional.empty(),
        displayStart);
  }

  private static Optional<String> source(Plan plan, Controller controller) {
    return controller.settings().source().map(id -> plan.existingController(id).tag());
  }

  private static String destination(Controller controller, int universe) {
    return switch (controller.transport()) {
      case UNICAST -> controller.address().map(IpAddress::text).orElse("no address");
      case MULTICAST -> MulticastGroup.of(universe);
      case BROADCAST -> "broadcast";
    };
  }
}
