package hamper.load;

import hamper.catalog.Gauge;
import hamper.display.Cable;
import hamper.display.PortRef;
import hamper.display.PoweredInput;
import hamper.display.Supply;
import java.util.Optional;

/**
 * A feed of a run, and what flows through it.
 *
 * @param port of the run
 * @param at where it is soldered on; empty for a socket's own feed
 * @param input of a socket: the power input behind it, where the model tells any
 * @param supply where it comes from; empty for a port whose power input nobody gave a supply
 * @param volts of the supply; for a port without one as its first string wants it (V)
 * @param position in the run, null pixels and gaps counted, from 1
 * @param lead from supply or socket
 * @param gauge of the lead
 * @param leadOhms of the lead's loop, plug contacts included (Ω)
 * @param farOhms of the loop from the supply through the lead to the farthest point that no other
 *     feed is nearer to (Ω)
 * @param fuseAmps of its fuse, where it has one (A)
 * @param amps through it at planned brightness, all white (A); below 0 it is charged
 * @param fullAmps the same at 100 % (A)
 */
public record FeedLoad(
    PortRef port,
    Optional<FeedRef> at,
    Optional<PoweredInput.Socket> input,
    Optional<Supply> supply,
    double volts,
    int position,
    Cable lead,
    Gauge gauge,
    double leadOhms,
    double farOhms,
    Optional<Double> fuseAmps,
    double amps,
    double fullAmps) {
  /**
   * A feed along a string.
   *
   * @param piece the id of the string
   * @param index of the feed in its leg, from 0
   */
  public record FeedRef(String piece, int index) {}

  /** What flows where the far end of what it protects is short-circuited (A). */
  public double shortAmps() {
    return volts / farOhms;
  }

  /** By how much the lead lifts the negative of the string above that of the supply (V). */
  public double groundShiftVolts() {
    return amps * leadOhms / 2;
  }
}
