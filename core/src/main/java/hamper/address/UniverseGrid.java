package hamper.address;

/**
 * Turns controller channels into universe and channel, and back.
 *
 * @param first the universe that holds controller channel 1
 * @param size channels of a universe, from 1 to 512
 */
public record UniverseGrid(int first, int size) {
  public UniverseChannel at(int controllerChannel) {
    return new UniverseChannel(
        first + (controllerChannel - 1) / size, (controllerChannel - 1) % size + 1);
  }

  /** The controller channel of a slot; below 1 where the universe lies before the first. */
  public long controllerChannel(UniverseChannel slot) {
    return (long) (slot.universe() - first) * size + slot.channel();
  }
}
