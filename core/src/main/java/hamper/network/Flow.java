package hamper.network;

import hamper.address.Protocol;
import hamper.address.Transport;
import hamper.load.Traffic;
import java.util.Optional;

/**
 * What one source sends to one controller.
 *
 * @param source the id of the host, where one is named
 * @param adapter the address it leaves from: the source's adapter in the controller's subnet, or
 *     its only one; left out where none fits
 * @param backup whether it is heard only when the first source is gone
 * @param started whether the controller plays its own storage, so that only its start is sent
 * @param wifi whether the last stretch is air
 */
public record Flow(
    Optional<String> source,
    Optional<String> adapter,
    String controller,
    Protocol protocol,
    Transport transport,
    boolean backup,
    boolean started,
    boolean wifi,
    Traffic traffic) {}
