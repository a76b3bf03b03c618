package hamper.display;

import hamper.value.Require;

/**
 * What is set for the whole display.
 *
 * @param firstUniverse where the assigned universes begin, as on the wire
 * @param universeStride assigned controllers begin at a multiple of it after the first
 * @param framesPerSecond the show's rate (1/s)
 */
public record DisplaySettings(int firstUniverse, int universeStride, int framesPerSecond) {
  public DisplaySettings {
    Require.inRange("firstUniverse", firstUniverse, 0, 63_999);
    Require.inRange("universeStride", universeStride, 1, 10_000);
    Require.inRange("framesPerSecond", framesPerSecond, 1, 200);
  }

  public static DisplaySettings standard() {
    return new DisplaySettings(1, 1, 40);
  }
}
