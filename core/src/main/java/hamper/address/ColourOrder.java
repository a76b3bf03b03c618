package hamper.address;

import hamper.value.RefusedException;
import hamper.value.Require;
import java.util.List;

/**
 * Which component each byte on the wire carries. The channels of an address are always in the
 * natural order; GRB says that the first byte sent is green, which is channel 2 of the address.
 *
 * @param letters a reordering of the natural letters of as many channels
 */
public record ColourOrder(String letters) {
  /** The natural order for 1 to 6 channels a pixel; A is amber, V ultraviolet. */
  private static final List<String> NATURAL = List.of("W", "WA", "RGB", "RGBW", "RGBWA", "RGBWAV");

  /** Most channels that one pixel may have. */
  public static final int MOST_CHANNELS = NATURAL.size();

  private static final List<ColourOrder> NATURAL_ORDERS =
      NATURAL.stream().map(ColourOrder::new).toList();

  public ColourOrder {
    if (letters == null || letters.isEmpty() || letters.length() > MOST_CHANNELS) {
      throw refused(letters);
    }
    String natural = NATURAL.get(letters.length() - 1);
    for (int i = 0; i < natural.length(); i++) {
      if (letters.indexOf(natural.charAt(i)) < 0) {
        throw refused(letters);
      }
    }
  }

  /** The order in which channels and bytes agree: RGB for 3, RGBW for 4. */
  public static ColourOrder natural(int channels) {
    return NATURAL_ORDERS.get(Require.inRange("channels", channels, 1, MOST_CHANNELS) - 1);
  }

  public int channels() {
    return letters.length();
  }

  /**
   * @param wireByte 0 for the first byte sent
   * @return 0 for the first channel of the address
   */
  public int channelOf(int wireByte) {
    return NATURAL.get(letters.length() - 1).indexOf(letters.charAt(wireByte));
  }

  @Override
  public String toString() {
    return letters;
  }

  private static RefusedException refused(String letters) {
    return new RefusedException(
        "colour order",
        Require.quoted(letters),
        "use each letter of one of %s once, such as GRB".formatted(String.join(", ", NATURAL)));
  }
}
