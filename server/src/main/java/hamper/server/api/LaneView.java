package hamper.server.api;

import hamper.display.PortRef;
import java.util.List;
import java.util.Optional;

/**
 * One port with what hangs on it.
 *
 * @param written as on a cable tag: K1-7
 * @param label the pin where the board names pins, else the number
 * @param present whether the port is there in the controller's mode
 * @param bank where the ports come out at remote boxes
 * @param modelLimit most pixels of three channels the model drives there, where it carries pixels
 * @param universe of a DMX port in use
 * @param load where it carries pixels
 * @param dmx where it is a DMX line in use
 * @param power voltages and feeds, where it carries pixels
 */
public record LaneView(
    PortRef port,
    String written,
    String label,
    boolean present,
    Optional<BankView> bank,
    Optional<Integer> modelLimit,
    Optional<Double> fuseAmps,
    Optional<Integer> universe,
    Optional<LoadView> load,
    Optional<DmxLoadView> dmx,
    Optional<RunPowerView> power,
    List<LegView> legs) {
  /**
   * Where a port comes out, for the crew.
   *
   * @param bank from 1
   * @param socket on each box of the chain, from 1
   * @param boxes in the chain
   * @param mostBoxes that a chain of the model may have
   * @param cableMetres of the whole chain (m); 0 where nobody said
   */
  public record BankView(int bank, int socket, int boxes, int mostBoxes, double cableMetres) {}
}
