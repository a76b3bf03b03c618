package hamper.network;

import hamper.address.IpAddress;
import hamper.address.Protocol;
import hamper.display.Controller;
import hamper.display.Plan;
import hamper.display.Subnet;
import hamper.load.Traffic;
import hamper.resolve.ControllerBlock;
import hamper.resolve.Resolution;
import hamper.resolve.Resolver;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Who sends to whom, and how much, at the show's rate. */
public final class Flows {
  private Flows() {}

  /** In list order; a backup after the first source. Hosts and idle controllers get nothing. */
  public static List<Flow> of(Plan plan, Resolution resolution) {
    List<Flow> flows = new ArrayList<>();
    List<Controller> controllers = plan.display().controllers();
    for (int i = 0; i < controllers.size(); i++) {
      Controller controller = controllers.get(i);
      if (controller.protocol() != Protocol.NONE) {
        Traffic traffic = traffic(plan, controller, resolution.blocks().get(i));
        flows.add(flow(plan, controller, controller.settings().source(), false, traffic));
        if (controller.protocol() == Protocol.E131 && controller.sending().backup().isPresent()) {
          flows.add(flow(plan, controller, controller.sending().backup(), true, traffic));
        }
      }
    }
    return flows;
  }

  /** What a controller is sent: its flowing block and its DMX universes. */
  public static Traffic traffic(Plan plan, Controller controller, ControllerBlock block) {
    if (controller.sending().fromStorage()) {
      return Traffic.NONE;
    }
    double rate = plan.display().settings().framesPerSecond();
    boolean full = controller.sending().fullUniverses();
    if (!controller.protocol().usesUniverses()) {
      return Traffic.of(controller.protocol(), block.sentBytes(), 1, false, rate);
    }
    int size = controller.settings().universeSize();
    Traffic traffic = Traffic.of(controller.protocol(), block.usedChannels(), size, full, rate);
    for (int i = 0; i < block.dmxUniverses().size(); i++) {
      traffic =
          traffic.plus(
              Traffic.of(
                  controller.protocol(), Resolver.DMX_SLOTS, Resolver.DMX_SLOTS, full, rate));
    }
    return traffic;
  }

  private static Flow flow(
      Plan plan, Controller controller, Optional<String> source, boolean backup, Traffic traffic) {
    return new Flow(
        source,
        source.flatMap(plan::controller).flatMap(host -> adapterTo(plan, host, controller)),
        controller.id(),
        controller.protocol(),
        controller.transport(),
        backup,
        controller.sending().fromStorage(),
        plan.modelOf(controller).wifi(),
        traffic);
  }

  /** The address of the host from which packets to the controller leave. */
  private static Optional<String> adapterTo(Plan plan, Controller host, Controller controller) {
    List<IpAddress> own = host.addresses();
    Optional<Subnet> subnet = controller.address().flatMap(plan::subnetOf);
    Optional<IpAddress> fitting =
        own.stream()
            .filter(address -> subnet.map(net -> net.contains(address)).orElse(false))
            .findFirst();
    return fitting
        .or(() -> own.size() == 1 ? Optional.of(own.get(0)) : Optional.empty())
        .map(IpAddress::text);
  }
}
