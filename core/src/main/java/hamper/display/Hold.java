package hamper.display;

import hamper.address.Protocol;
import hamper.value.Require;
import java.util.Optional;

/**
 * A start address that is kept as it is.
 *
 * @param universe as on the wire; left out where the channel counts in the controller's own block
 * @param channel from 1; in the universe, or in the controller
 */
public record Hold(Optional<Integer> universe, int channel) {
  /** Most controller channels that an address may name. */
  public static final int MOST_CHANNELS = 64_000 * 512;

  public Hold {
    Require.inRange("universe", universe, 0, Protocol.HIGHEST_UNIVERSE);
    Require.inRange("channel", channel, 1, universe.isPresent() ? 512 : MOST_CHANNELS);
  }

  public static Hold atChannel(int controllerChannel) {
    return new Hold(Optional.empty(), controllerChannel);
  }

  @Override
  public String toString() {
    return universe.map(u -> u + ":" + channel).orElse("channel " + channel);
  }
}
