package hamper.config;

import java.util.Optional;

/**
 * What a device listens to.
 *
 * @param universe the first one, in the device's numbering; left out on DDP
 * @param count of universes; 0 on DDP
 * @param size channels of each; on DDP bytes in all
 * @param start where it goes in the device's own channels, from 1, where the device wants a table
 * @param dmxPort the DMX port it feeds, where it is that port's own universe
 */
public record Input(
    Optional<Integer> universe,
    int count,
    int size,
    Optional<Integer> start,
    Optional<Integer> dmxPort) {}
