package hamper.config;

import hamper.address.Protocol;
import hamper.address.Transport;
import java.util.Optional;

/**
 * One line of what a source must be told: which universes or bytes go to which address.
 *
 * @param sourceId the id of the host that sends, where one is named
 * @param source the tag of the host that sends, where one is named
 * @param controllerId the id of the controller that listens
 * @param controller the tag of the controller that listens
 * @param destinationKind what the destination is
 * @param destination address, name, multicast group of the first universe, or "broadcast"; "no
 *     address" where unicast has none
 * @param firstUniverse on the wire; left out on DDP
 * @param universes 0 on DDP
 * @param size channels of each universe; on DDP bytes in all
 * @param offset the first byte on DDP, from 0
 * @param priority of its packets on E1.31; a backup's is lower
 * @param fullUniverses whether 512 slots are sent whatever is used
 * @param synchronization the universe or any number of synchronization packets, where they are
 *     asked
 * @param displayStart the display channel that goes into its first slot
 */
public record SendLine(
    Optional<String> sourceId,
    Optional<String> source,
    String controllerId,
    String controller,
    Protocol protocol,
    Transport transport,
    Kind destinationKind,
    String destination,
    Optional<Integer> firstUniverse,
    int universes,
    int size,
    Optional<Integer> offset,
    Optional<Integer> priority,
    boolean fullUniverses,
    Optional<Integer> synchronization,
    int displayStart) {
  /** What a line goes to. */
  public enum Kind {
    /** An IPv4 address. */
    ADDRESS,
    /** A name that a resolver knows. */
    NAME,
    /** A multicast group for each universe. */
    GROUP,
    /** Everybody in the subnet. */
    BROADCAST,
    /** Unicast to a controller without an address: nobody gets it. */
    NONE
  }
}
