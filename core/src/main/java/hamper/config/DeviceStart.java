package hamper.config;

import java.util.Optional;

/**
 * A start address as a device writes it: only what its dialect has is present.
 *
 * @param universe in the device's numbering
 * @param channel in that universe, from 1; or, without a universe, in the device's own block
 * @param pixelIndex from 0, in the device's own pixels
 */
public record DeviceStart(
    Optional<Integer> universe, Optional<Integer> channel, Optional<Integer> pixelIndex) {
  static final DeviceStart NONE =
      new DeviceStart(Optional.empty(), Optional.empty(), Optional.empty());

  /** Whether anything is told at all. */
  public boolean says() {
    return !equals(NONE);
  }

  static DeviceStart universeChannel(int universe, int channel) {
    return new DeviceStart(Optional.of(universe), Optional.of(channel), Optional.empty());
  }

  static DeviceStart universe(int universe) {
    return new DeviceStart(Optional.of(universe), Optional.empty(), Optional.empty());
  }

  static DeviceStart absolute(int channel) {
    return new DeviceStart(Optional.empty(), Optional.of(channel), Optional.empty());
  }

  static DeviceStart pixelIndex(int index) {
    return new DeviceStart(Optional.empty(), Optional.empty(), Optional.of(index));
  }
}
