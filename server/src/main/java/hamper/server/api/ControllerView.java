package hamper.server.api;

import hamper.address.PortStart;
import hamper.address.Protocol;
import hamper.display.Controller;
import java.util.List;
import java.util.Optional;

/**
 * One controller: what is set, its block of channels, its ports.
 *
 * @param controller what is set, runs included
 * @param host whether it drives no light of its own
 * @param portStart as it is in force
 * @param style how the device wants addresses written, in words
 */
public record ControllerView(
    Controller controller,
    String modelTitle,
    boolean host,
    boolean wifi,
    Protocol protocol,
    PortStart portStart,
    String style,
    BlockView block,
    List<LaneView> lanes) {

  /**
   * The block of channels.
   *
   * @param dmxUniverses the universe of each DMX port in use
   * @param from first slot as the plan writes it; left out where it has none
   * @param to last slot, included
   */
  public record BlockView(
      int channels,
      int usedChannels,
      int flowingChannels,
      int universes,
      int flowingUniverses,
      int universeSize,
      Optional<Integer> firstUniverse,
      List<Integer> dmxUniverses,
      Optional<Integer> displayStart,
      Optional<String> from,
      Optional<String> to) {}
}
