package hamper.server.api;

import hamper.load.DmxLine;
import hamper.load.Traffic;

/**
 * What a DMX line carries.
 *
 * @param lastSlot the last one in use
 * @param slots that are sent
 * @param most slots that there are
 * @param framesPerSecond most that it can be sent at (1/s)
 * @param frameShare of the show's frame; 1 is all of it
 * @param packetsPerSecond of its universe (1/s)
 * @param megabitsPerSecond the same on the wire (Mbit/s)
 * @param mostMegabits most that is planned on its controller's link (Mbit/s)
 */
public record DmxLoadView(
    int lastSlot,
    int slots,
    int most,
    double framesPerSecond,
    double frameShare,
    double packetsPerSecond,
    double megabitsPerSecond,
    double mostMegabits) {
  static DmxLoadView of(DmxLine line, Traffic traffic, boolean wifi) {
    return new DmxLoadView(
        line.lastSlot(),
        line.slots(),
        Traffic.FULL_UNIVERSE,
        line.framesPerSecond(),
        line.frameShare(),
        traffic.packetsPerSecond(),
        traffic.megabitsPerSecond(),
        wifi ? Traffic.MOST_AIR : Traffic.MOST_WIRED);
  }
}
