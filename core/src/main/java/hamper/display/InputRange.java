package hamper.display;

import hamper.address.Protocol;
import hamper.value.Require;

/**
 * Universes that a controller is told to listen to, set by hand.
 *
 * @param firstUniverse as on the wire
 * @param count from 1
 * @param size channels of each, 1..512
 */
public record InputRange(int firstUniverse, int count, int size) {
  public InputRange {
    Require.inRange("firstUniverse", firstUniverse, 0, Protocol.HIGHEST_UNIVERSE);
    Require.inRange("count", count, 1, 64_000);
    Require.inRange("size", size, 1, 512);
  }
}
