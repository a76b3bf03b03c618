package hamper.resolve;

import hamper.address.UniverseChannel;
import java.util.Optional;

/**
 * Two parties that answer to the same channels.
 *
 * @param a the one that comes first by list, port and position
 * @param channels how many they share
 * @param first the first shared slot on the wire; none on DDP
 * @param last the last shared slot, included
 * @param firstOffset the first shared byte on DDP, from 0
 * @param lastOffset the last shared byte, included
 */
public record Overlap(
    Placement a,
    Placement b,
    int channels,
    Optional<UniverseChannel> first,
    Optional<UniverseChannel> last,
    Optional<Integer> firstOffset,
    Optional<Integer> lastOffset) {}
