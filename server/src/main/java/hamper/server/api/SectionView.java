package hamper.server.api;

import hamper.address.UniverseChannel;
import hamper.config.DeviceStart;
import java.util.Optional;

/**
 * One section, circuit or fixture as it stands.
 *
 * @param section in its piece, from 0
 * @param startAt first slot on the wire, in numbers; left out where there are no universes
 * @param endAt last slot, included
 * @param start first slot on the wire as universe:channel, or the byte on DDP
 * @param end last slot, included
 * @param device what the device itself is told of the start; left out: it counts on from before
 */
public record SectionView(
    int section,
    int pixels,
    int nullPixels,
    int addresses,
    int channels,
    boolean held,
    boolean mirror,
    Optional<Integer> controllerStart,
    Optional<Integer> controllerEnd,
    Optional<Integer> displayStart,
    Optional<Integer> displayEnd,
    Optional<UniverseChannel> startAt,
    Optional<UniverseChannel> endAt,
    Optional<String> start,
    Optional<String> end,
    Optional<DeviceStart> device) {}
