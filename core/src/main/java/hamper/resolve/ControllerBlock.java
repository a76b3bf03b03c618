package hamper.resolve;

import hamper.display.PortRef;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * The channels and universes of one controller.
 *
 * @param channels of the whole block, DMX universes included
 * @param usedChannels highest channel of the flowing part that anything stands on
 * @param flowingChannels of the flowing part; its DMX universes follow
 * @param flowingUniverses of the flowing part; 0 on DDP
 * @param universes flowing ones and one for each DMX port in use; 0 on DDP
 * @param firstUniverse of the flowing part; none on DDP, nor where no universe is its own
 * @param displayStart first display channel of the block; 0 where it has no block
 * @param dmxUniverses the universe of each DMX port in use; empty on DDP
 * @param dmxPorts the DMX ports in use, by number
 */
public record ControllerBlock(
    String controller,
    int channels,
    int usedChannels,
    int flowingChannels,
    int flowingUniverses,
    int universes,
    Optional<Integer> firstUniverse,
    int displayStart,
    List<PortRef> dmxPorts,
    Map<PortRef, Integer> dmxUniverses) {

  /** The channel of the block that the first slot of a DMX port in use takes, from 1. */
  public int dmxStart(PortRef port) {
    return flowingChannels + dmxPorts.indexOf(port) * Resolver.DMX_SLOTS + 1;
  }

  /**
   * How many universes of the flowing part are sent: reserve is kept free, not sent.
   *
   * @param universeSize of the flowing part
   */
  public int sentUniverses(int universeSize) {
    return (usedChannels + universeSize - 1) / universeSize;
  }

  /** How many bytes are sent on DDP: what is used, and whole DMX lines behind it. */
  public int sentBytes() {
    return dmxPorts.isEmpty() ? usedChannels : channels;
  }

  /** The outermost universes of the block, reserve and DMX lines included; empty on DDP. */
  public IntStream outermostUniverses() {
    IntStream flowing =
        firstUniverse.isPresent() && flowingUniverses > 0
            ? IntStream.of(firstUniverse.get(), firstUniverse.get() + flowingUniverses - 1)
            : IntStream.empty();
    return IntStream.concat(flowing, dmxUniverses.values().stream().mapToInt(universe -> universe));
  }

  /** The last universe of the flowing part; one below the first where it has none. */
  public Optional<Integer> lastFlowingUniverse() {
    return firstUniverse.map(first -> first + flowingUniverses - 1);
  }
}
