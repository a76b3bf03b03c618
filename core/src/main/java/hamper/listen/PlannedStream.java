package hamper.listen;

import hamper.address.IpAddress;
import hamper.address.MulticastGroup;
import hamper.address.Protocol;
import hamper.address.Transport;
import hamper.config.SendLine;
import hamper.config.SendList;
import hamper.display.Plan;
import hamper.facts.Facts;
import hamper.resolve.ControllerBlock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * A universe that is planned to be sent to an address, or on DDP all that is planned for a device.
 *
 * @param universe on the wire; 0 on DDP
 * @param to where it goes; left out for a broadcast, and where a controller has no address
 * @param controllers ids of those that take it
 * @param size slots that are sent (bytes on DDP)
 * @param least slots of which anything is used; a shorter packet leaves something dark
 * @param senders addresses of the hosts that send it, with the priority of each; empty where no
 *     host is named
 */
public record PlannedStream(
    Protocol protocol,
    Transport transport,
    int universe,
    Optional<IpAddress> to,
    List<String> controllers,
    int size,
    int least,
    Map<IpAddress, Integer> senders) {
  private static final int FULL = 512;

  public PlannedStream {
    controllers = List.copyOf(controllers);
    senders = Map.copyOf(senders);
  }

  /** What makes two lines the same stream. */
  private record Key(Protocol protocol, int universe, Optional<IpAddress> to) {}

  /** In the order of the send list. */
  public static List<PlannedStream> of(Facts facts) {
    Map<Key, PlannedStream> all = new LinkedHashMap<>();
    for (SendLine line : SendList.of(facts.plan(), facts.resolution())) {
      for (int i = 0; i < Math.max(1, line.universes()); i++) {
        PlannedStream one = of(facts, line, i);
        all.merge(new Key(one.protocol, one.universe, one.to), one, PlannedStream::with);
      }
    }
    return List.copyOf(all.values());
  }

  private static PlannedStream of(Facts facts, SendLine line, int place) {
    Plan plan = facts.plan();
    int universe = line.firstUniverse().map(first -> first + place).orElse(0);
    int used = used(facts, line, place);
    int size = line.fullUniverses() && universe > 0 ? FULL : line.size();
    Map<IpAddress, Integer> senders = new LinkedHashMap<>();
    line.sourceId()
        .ifPresent(
            host ->
                plan.existingController(host)
                    .addresses()
                    .forEach(at -> senders.put(at, line.priority().orElse(0))));
    return new PlannedStream(
        line.protocol(),
        line.transport(),
        universe,
        to(plan, line, universe),
        List.of(line.controllerId()),
        size,
        used,
        senders);
  }

  private static Optional<IpAddress> to(Plan plan, SendLine line, int universe) {
    return switch (line.transport()) {
      case UNICAST -> plan.existingController(line.controllerId()).address();
      case MULTICAST -> Optional.of(new IpAddress(MulticastGroup.of(universe)));
      case BROADCAST -> Optional.empty();
    };
  }

  /** Slots of a universe up to the last that anything stands on. */
  private static int used(Facts facts, SendLine line, int place) {
    ControllerBlock block =
        facts.resolution().blocks().get(facts.plan().indexOf(line.controllerId()));
    boolean flowing = line.firstUniverse().equals(block.firstUniverse());
    if (line.universes() == 0 || !flowing) {
      return line.universes() == 0 ? line.size() : 1;
    }
    return Math.max(1, Math.min(line.size(), block.usedChannels() - place * line.size()));
  }

  /** One stream that two lines speak of: for two devices, or from a source and its backup. */
  private PlannedStream with(PlannedStream other) {
    Set<String> taking = new LinkedHashSet<>(controllers);
    taking.addAll(other.controllers);
    Map<IpAddress, Integer> from = new LinkedHashMap<>(senders);
    other.senders.forEach((at, priority) -> from.merge(at, priority, Math::max));
    return new PlannedStream(
        protocol,
        transport,
        universe,
        to,
        new ArrayList<>(taking),
        Math.max(size, other.size),
        protocol == Protocol.DDP ? Math.min(least, other.least) : Math.max(least, other.least),
        from);
  }

  /** Whether a stream goes where this one is planned to go. */
  boolean goesTo(HeardStream heard) {
    if (heard.to().text().startsWith("127.")) {
      return protocol.usesUniverses(); // stand-ins have addresses of their own
    }
    return switch (transport) {
      case UNICAST, MULTICAST -> to.isPresent() && to.get().equals(heard.to());
      case BROADCAST -> !Vantage.isOne(heard.to());
    };
  }
}
