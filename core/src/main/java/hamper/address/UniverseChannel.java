package hamper.address;

/**
 * A slot on the wire, written {@code universe:channel}.
 *
 * @param universe as on the wire: E1.31 universe or Art-Net Port-Address
 * @param channel from 1
 */
public record UniverseChannel(int universe, int channel) implements Comparable<UniverseChannel> {
  @Override
  public int compareTo(UniverseChannel other) {
    return universe != other.universe
        ? Integer.compare(universe, other.universe)
        : Integer.compare(channel, other.channel);
  }

  @Override
  public String toString() {
    return universe + ":" + channel;
  }
}
