package hamper.server.network;

import hamper.address.IpAddress;
import hamper.address.MulticastGroup;
import hamper.address.Protocol;
import hamper.address.Transport;
import hamper.display.Controller;
import hamper.facts.Facts;
import hamper.listen.HeardStream;
import hamper.listen.PlannedStream;
import hamper.standin.Place;
import hamper.value.Foreign;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BinaryOperator;
import tools.jackson.databind.JsonNode;

/** What devices have counted of what is sent to them, for what nobody else can hear. */
final class DeviceCounts {
  /** What arrived so lately is still being sent (ms). */
  private static final long LATELY_MILLIS = 2_500;

  private static final double NANOS = 1e9;
  private static final int MOST_SENDER = 21;
  private static final String ALL = "255.255.255.255";

  private record Key(String controller, String sender, Protocol protocol, int universe) {}

  private record Count(long packets, long at) {}

  /** What several devices count of one stream is one stream. */
  private record Stream(
      Protocol protocol, IpAddress from, String name, IpAddress to, int universe) {
    static Stream of(HeardStream one) {
      return new Stream(one.protocol(), one.from(), one.name(), one.to(), one.universe());
    }
  }

  private static final BinaryOperator<HeardStream> MORE =
      (a, b) -> a.packets() >= b.packets() ? a : b;

  private final DoorAnswers doors;
  private Map<Key, Count> before = new HashMap<>();

  DeviceCounts(DoorAnswers doors) {
    this.doors = doors;
  }

  /**
   * What was counted.
   *
   * @param answered ids of controllers that could be asked
   */
  record Counted(Set<String> answered, List<HeardStream> streams) {}

  /**
   * Asks once; rates are those since the time before.
   *
   * @param own senders of this program, such as "127.0.0.1:40123"
   */
  Counted ask(Facts facts, Map<String, Place> at, Set<String> own) throws InterruptedException {
    Map<String, JsonNode> answers = doors.get(at, "counters");
    Map<Key, Count> now = new HashMap<>();
    Map<Stream, HeardStream> streams = new LinkedHashMap<>();
    List<PlannedStream> planned = PlannedStream.of(facts);
    answers.forEach(
        (id, told) ->
            facts
                .plan()
                .controller(id)
                .ifPresent(
                    controller -> {
                      for (JsonNode one : told.path("streams")) {
                        stream(planned, controller, one, own, now)
                            .ifPresent(heard -> streams.merge(Stream.of(heard), heard, MORE));
                      }
                    }));
    before = now;
    return new Counted(Set.copyOf(answers.keySet()), List.copyOf(streams.values()));
  }

  private Optional<HeardStream> stream(
      List<PlannedStream> planned,
      Controller controller,
      JsonNode told,
      Set<String> own,
      Map<Key, Count> now) {
    String sender = Foreign.line(told.path("sender").asString(""), MOST_SENDER);
    int universe = told.path("universe").asInt(0);
    long packets = told.path("packets").asLong(0);
    Optional<Protocol> says = protocol(told.path("protocol").asString(""));
    if (says.isEmpty()) {
      return Optional.empty();
    }
    Protocol protocol = says.get();
    Key key = new Key(controller.id(), sender, protocol, universe);
    Count here = new Count(packets, System.nanoTime());
    now.put(key, here);
    int colon = sender.indexOf(':');
    if (told.path("lastMillisAgo").asLong(LATELY_MILLIS) >= LATELY_MILLIS || colon < 0) {
      return Optional.empty();
    }
    Optional<IpAddress> from = address(sender.substring(0, colon));
    int slots = told.path("slots").asInt(0);
    return from.map(
        address ->
            new HeardStream(
                protocol,
                address,
                own.contains(sender) ? "this program" : "",
                to(planned, controller, protocol, universe),
                protocol.usesUniverses() ? universe : 0,
                packets,
                rate(before.get(key), here),
                slots,
                slots,
                Optional.of(told.path("priority").asInt(-1)).filter(one -> one >= 0),
                told.path("missing").asLong(0),
                told.path("sequenceErrors").asLong(0),
                0,
                false,
                true));
  }

  private static double rate(Count before, Count now) {
    return before == null || now.packets() < before.packets()
        ? 0
        : (now.packets() - before.packets()) / ((now.at() - before.at()) / NANOS);
  }

  private static Optional<IpAddress> address(String text) {
    try {
      return Optional.of(new IpAddress(text));
    } catch (RuntimeException e) {
      return Optional.empty();
    }
  }

  private static Optional<Protocol> protocol(String name) {
    return Arrays.stream(Protocol.values())
        .filter(one -> one != Protocol.NONE && one.name().equals(name))
        .findFirst();
  }

  /** A device does not say whom a packet went to: to all where the universe is planned to. */
  private static IpAddress to(
      List<PlannedStream> planned, Controller controller, Protocol protocol, int universe) {
    Transport transport =
        planned.stream()
            .filter(one -> one.protocol() == protocol && one.universe() == universe)
            .map(PlannedStream::transport)
            .findFirst()
            .orElse(Transport.UNICAST);
    return switch (transport) {
      case UNICAST -> controller.address().orElse(new IpAddress("127.0.0.1"));
      case MULTICAST -> new IpAddress(MulticastGroup.of(universe));
      case BROADCAST -> new IpAddress(ALL);
    };
  }
}
