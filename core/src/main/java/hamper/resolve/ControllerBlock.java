package hamper.resolve;

import hamper.display.PortRef;
import java.util.List;
import java.util.Map;
import java.util.Optional;

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

  /** The last universe of the flowing part; one below the first where it has none. */
  public Optional<Integer> lastFlowingUniverse() {
    return firstUniverse.map(first -> first + flowingUniverses - 1);
  }
}
