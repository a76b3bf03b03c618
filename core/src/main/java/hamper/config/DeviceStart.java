package hamper.config;

import java.util.Optional;

/**
 * A start address as a device writes it: only what its dialect has is present.
 *
 * @param universe in the device's numbering
 * @param channel in that universe, from 1; or, without a universe, in the device's own block
 * @param pixelIndex from 0, in the device's own pixels
 * @param unwritable whether there should be one that this device cannot be told
 */
public record DeviceStart(
    Optional<Integer> universe,
    Optional<Integer> channel,
    Optional<Integer> pixelIndex,
    boolean unwritable) {
  /** The device has no start for it: it counts on from what stands before. */
  static final DeviceStart NONE = of(Optional.empty(), Optional.empty(), Optional.empty());

  static final DeviceStart UNWRITABLE =
      new DeviceStart(Optional.empty(), Optional.empty(), Optional.empty(), true);

  private static DeviceStart of(
      Optional<Integer> universe, Optional<Integer> channel, Optional<Integer> pixelIndex) {
    return new DeviceStart(universe, channel, pixelIndex, false);
  }

  /** Whether an address is told. */
  public boolean says() {
    return !equals(NONE) && !unwritable;
  }

  static DeviceStart universeChannel(int universe, int channel) {
    return of(Optional.of(universe), Optional.of(channel), Optional.empty());
  }

  static DeviceStart universe(int universe) {
    return of(Optional.of(universe), Optional.empty(), Optional.empty());
  }

  static DeviceStart absolute(int channel) {
    return of(Optional.empty(), Optional.of(channel), Optional.empty());
  }

  static DeviceStart pixelIndex(int index) {
    return of(Optional.empty(), Optional.empty(), Optional.of(index));
  }
}
