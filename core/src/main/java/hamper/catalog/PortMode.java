package hamper.catalog;

import hamper.value.Require;
import java.util.List;
import java.util.OptionalInt;

/**
 * One way to run the ports of a kind, such as 12 ports of 800 pixels or 24 of 400.
 *
 * @param name short; unique in its group
 * @param ports how many, from 1
 * @param pixelLimits by channels a pixel; empty for ports that carry no pixels
 */
public record PortMode(String name, int ports, List<PixelLimit> pixelLimits) {
  public PortMode {
    Require.name("name", name);
    Require.inRange("ports", ports, 1, 1024);
    pixelLimits = List.copyOf(pixelLimits);
  }

  /**
   * The most pixels of so many channels. Where the model does not name them, the entry for the next
   * wider pixel counts, and beyond the widest as many bytes as that one has.
   */
  public OptionalInt pixelLimit(int channels) {
    PixelLimit nextWider = null;
    PixelLimit widest = null;
    for (PixelLimit limit : pixelLimits) {
      if (widest == null || limit.channels() > widest.channels()) {
        widest = limit;
      }
      boolean wide = limit.channels() >= channels;
      if (wide && (nextWider == null || limit.channels() < nextWider.channels())) {
        nextWider = limit;
      }
    }
    if (nextWider != null) {
      return OptionalInt.of(nextWider.pixels());
    }
    return widest == null
        ? OptionalInt.empty()
        : OptionalInt.of(widest.pixels() * widest.channels() / channels);
  }
}
