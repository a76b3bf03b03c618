package hamper.display;

import hamper.address.Protocol;
import hamper.value.Require;
import java.util.Optional;

/**
 * What is set for the whole display.
 *
 * @param firstUniverse where the assigned universes begin, as on the wire
 * @param universeStride assigned controllers begin at a multiple of it after the first
 * @param framesPerSecond the show's rate (1/s)
 * @param keepsStill whether an edit leaves every start that it does not have to move where it is;
 *     left out: it does not
 * @param showHours when devices are better left alone, where somebody said so
 */
public record DisplaySettings(
    int firstUniverse,
    int universeStride,
    int framesPerSecond,
    Optional<Boolean> keepsStill,
    Optional<ShowHours> showHours) {
  public DisplaySettings {
    Require.inRange("firstUniverse", firstUniverse, 0, Protocol.HIGHEST_UNIVERSE);
    Require.inRange("universeStride", universeStride, 1, 10_000);
    Require.inRange("framesPerSecond", framesPerSecond, 1, 200);
  }

  /** Of a display that is still being planned. */
  public DisplaySettings(int firstUniverse, int universeStride, int framesPerSecond) {
    this(firstUniverse, universeStride, framesPerSecond, Optional.empty(), Optional.empty());
  }

  public static DisplaySettings standard() {
    return new DisplaySettings(1, 1, 40);
  }

  /** Whether starts stay where they are. */
  public boolean still() {
    return keepsStill.orElse(false);
  }
}
