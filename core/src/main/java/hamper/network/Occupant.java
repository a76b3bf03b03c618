package hamper.network;

import hamper.address.IpAddress;
import java.util.Optional;

/**
 * A device at an address: a controller, a host, or one adapter of a host.
 *
 * @param controller the id of the controller or host
 * @param adapter the place of the adapter in its host's list, from 0; left out: the device itself
 * @param tag of the controller or host
 */
public record Occupant(
    String controller, Optional<Integer> adapter, String tag, String title, IpAddress address) {}
