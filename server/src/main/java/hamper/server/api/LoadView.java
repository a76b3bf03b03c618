package hamper.server.api;

import hamper.load.PortLoad;
import java.util.Optional;

/**
 * What a pixel port carries. Currents in A, rates in frames a second.
 *
 * @param frameShare of the show's frame; 1 is all of it
 */
public record LoadView(
    int pixels,
    int nullPixels,
    int limit,
    PortLoad.LimitBy limitBy,
    int over,
    double framesPerSecond,
    double frameShare,
    double amps,
    double fullAmps,
    Optional<Double> fuseAmps) {
  static LoadView of(PortLoad load) {
    return new LoadView(
        load.pixels(),
        load.nullPixels(),
        load.limit(),
        load.limitBy(),
        load.over(),
        load.framesPerSecond(),
        load.frameShare(),
        load.amps(),
        load.fullAmps(),
        load.fuseAmps());
  }
}
