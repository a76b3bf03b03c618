package hamper.config;

import hamper.address.IpAddress;
import hamper.address.Packing;
import hamper.address.Protocol;
import hamper.address.Transport;
import java.util.List;
import java.util.Optional;

/**
 * Everything one controller has to be told, in its own numbering.
 *
 * @param controller its id in the plan
 * @param model the id of its device model
 * @param mode of its pixel ports, where it has a choice
 * @param packing what it does with a pixel at a universe's end; none where it has no universes
 * @param ownStorage whether it plays from storage of its own, and is only started
 * @param inputs first, as people type them in
 * @param outputs used and emptied ports alike
 * @param untold what could not be said; empty where the device will do all that was planned
 */
public record Configuration(
    String display,
    String controller,
    String tag,
    String name,
    String model,
    String modelTitle,
    Optional<String> mode,
    Protocol protocol,
    Transport transport,
    Optional<IpAddress> address,
    Optional<Packing> packing,
    boolean ownStorage,
    List<Input> inputs,
    List<Output> outputs,
    List<Untold> untold) {
  public Configuration {
    inputs = List.copyOf(inputs);
    outputs = List.copyOf(outputs);
    untold = List.copyOf(untold);
  }
}
