package hamper.display;

import hamper.value.Require;
import java.util.List;

/**
 * A DMX fixture. With its start slot it may reach past slot 512, which is found, not refused.
 *
 * @param slot its start slot, 1..512
 * @param channels its footprint, 1..512
 * @param pairs functions of 16 bits: each takes its slot as the coarse and the next as the fine
 *     half
 */
public record Fixture(String id, String name, int slot, int channels, List<Pair> pairs)
    implements SlotPiece {
  /**
   * Two neighbouring slots that are one number.
   *
   * @param name of the function, such as pan
   * @param channel of the coarse half in the footprint, from 1
   */
  public record Pair(String name, int channel) {
    public Pair {
      Require.name("name", name);
      Require.inRange("channel", channel, 1, 511);
    }
  }

  public Fixture {
    Require.id("id", id);
    Require.name("name", name);
    Require.inRange("slot", slot, 1, 512);
    Require.inRange("channels", channels, 1, 512);
    pairs = List.copyOf(pairs);
    for (Pair pair : pairs) {
      Require.that(
          pair.channel() < channels,
          "pairs",
          "%s at channel %d".formatted(pair.name(), pair.channel()),
          "both halves lie in the footprint of %d channels".formatted(channels));
    }
  }

  /** Without functions of 16 bits. */
  public Fixture(String id, String name, int slot, int channels) {
    this(id, name, slot, channels, List.of());
  }
}
