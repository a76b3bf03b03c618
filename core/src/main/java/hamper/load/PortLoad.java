package hamper.load;

import hamper.display.PortLimit;
import hamper.display.PortRef;
import java.util.Optional;

/**
 * What a pixel port carries, and what it can.
 *
 * @param pixels those that light
 * @param nullPixels built in and in gaps
 * @param limit most pixels, null pixels included; the lower of model's and frame's
 * @param limitBy which of the two binds
 * @param frameMicros time of one frame (µs)
 * @param frameShare of the show's frame; 1 is all of it
 * @param amps at planned brightness, all white (A)
 * @param fullAmps the same at 100 % (A)
 * @param idleWatts of all its pixels when dark (W)
 * @param fuseAmps of the socket, where it has one (A)
 */
public record PortLoad(
    PortRef port,
    int pixels,
    int nullPixels,
    int limit,
    PortLimit.By limitBy,
    double frameMicros,
    double frameShare,
    double amps,
    double fullAmps,
    double idleWatts,
    Optional<Double> fuseAmps) {
  /** Pixels and null pixels: what is clocked out. */
  public int places() {
    return pixels + nullPixels;
  }

  /** Frames a second (1/s). */
  public double framesPerSecond() {
    return 1_000_000 / frameMicros;
  }

  /** Places above the limit; 0 where it is kept. */
  public int over() {
    return Math.max(0, places() - limit);
  }
}
