package hamper.who;

import hamper.address.IpAddress;
import java.util.List;
import java.util.Optional;

/**
 * What a device, or a source, said of itself in one way.
 *
 * @param at the address that it answered from
 * @param seat the id of the controller that it stands in for, where it is known to be a stand-in
 * @param model the id of its catalogue entry, where it says one
 * @param product what it says that it is, such as maker and model; may be empty
 * @param ownName what people called it; empty where it has no name of its own
 * @param serial where it says one
 * @param saysAddress that it says it has; left out where it says none
 * @param universes that it says it sends or listens to
 */
public record Answer(
    Way way,
    IpAddress at,
    Optional<String> seat,
    Optional<String> model,
    String product,
    String ownName,
    Optional<String> serial,
    Optional<IpAddress> saysAddress,
    List<Integer> universes) {
  public Answer {
    universes = List.copyOf(universes);
  }
}
