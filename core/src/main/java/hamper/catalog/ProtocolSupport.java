package hamper.catalog;

import hamper.address.Protocol;
import hamper.address.Transport;
import hamper.value.Require;
import java.util.Collections;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * One protocol that a device model listens to.
 *
 * @param mostUniverses the most universes it takes; left out where there is no such limit
 * @param universeSizes the sizes it can be set to; empty where the protocol has no universes
 */
public record ProtocolSupport(
    Protocol protocol,
    Set<Transport> transports,
    Optional<Integer> mostUniverses,
    Set<Integer> universeSizes) {
  public ProtocolSupport {
    // in an order of their own: what is written of them is the same in every run
    transports = Collections.unmodifiableSet(new TreeSet<>(transports));
    universeSizes = Collections.unmodifiableSet(new TreeSet<>(universeSizes));
    Require.that(!transports.isEmpty(), "transports", "none", "name at least one, such as UNICAST");
    Require.inRange("mostUniverses", mostUniverses, 1, 64_000);
    universeSizes.forEach(size -> Require.inRange("universeSizes", size, 1, 512));
  }
}
