package hamper.server.api;

import hamper.display.PortLimit;
import hamper.load.PortLoad;
import hamper.load.Traffic;
import java.util.Optional;

/**
 * What a pixel port carries. Currents in A, rates in frames a second.
 *
 * @param amps of the whole run at planned brightness; what its fuse carries stands with its feeds
 * @param packetsPerSecond of its channels, were they sent alone (1/s)
 * @param megabitsPerSecond the same on the wire (Mbit/s)
 * @param mostMegabits most that is planned on its controller's link (Mbit/s)
 * @param frameShare of the show's frame; 1 is all of it
 */
public record LoadView(
    int pixels,
    int nullPixels,
    int limit,
    PortLimit.By limitBy,
    int over,
    double framesPerSecond,
    double frameShare,
    double amps,
    double fullAmps,
    Optional<Double> fuseAmps,
    double packetsPerSecond,
    double megabitsPerSecond,
    double mostMegabits) {
  static LoadView of(PortLoad load, Traffic traffic, boolean wifi) {
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
        load.fuseAmps(),
        traffic.packetsPerSecond(),
        traffic.megabitsPerSecond(),
        wifi ? Traffic.MOST_AIR : Traffic.MOST_WIRED);
  }
}
