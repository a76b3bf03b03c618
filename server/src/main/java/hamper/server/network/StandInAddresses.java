package hamper.server.network;

import hamper.address.IpAddress;
import hamper.address.Protocol;
import hamper.display.Controller;
import hamper.facts.Facts;
import hamper.listen.Datagrams;
import hamper.standin.Place;
import hamper.wire.Ddp;
import java.util.HashMap;
import java.util.Map;
import java.util.function.UnaryOperator;

/**
 * What is sent on DDP to a stand-in's own address is told as if it went to the planned one;
 * universes say themselves what they are.
 *
 * @param planned by the stand-in's address
 */
public record StandInAddresses(Map<Long, Long> planned) implements UnaryOperator<Datagrams> {
  /** Of devices that have the planned addresses themselves. */
  public static final StandInAddresses NONE = new StandInAddresses(Map.of());

  public StandInAddresses {
    planned = Map.copyOf(planned);
  }

  /**
   * @param places by the id of the controller
   */
  public static StandInAddresses of(Facts facts, Map<String, Place> places) {
    Map<Long, Long> planned = new HashMap<>();
    places.forEach(
        (id, place) -> {
          Controller controller = facts.plan().existingController(id);
          if (controller.protocol() == Protocol.DDP && controller.address().isPresent()) {
            planned.put(new IpAddress(place.address()).bits(), controller.address().get().bits());
          }
        });
    return new StandInAddresses(planned);
  }

  @Override
  public Datagrams apply(Datagrams to) {
    return (micros, from, fromPort, receiver, toPort, bytes, length) ->
        to.take(
            micros,
            from,
            fromPort,
            toPort == Ddp.PORT ? planned.getOrDefault(receiver, receiver) : receiver,
            toPort,
            bytes,
            length);
  }
}
