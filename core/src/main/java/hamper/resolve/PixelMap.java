package hamper.resolve;

import hamper.address.ColourOrder;
import hamper.display.Section;
import java.util.OptionalInt;

/**
 * Which pixel of a section shows which channel. Lazy: each question is answered by arithmetic,
 * O(1).
 *
 * <p>Source: the addressing rules, "Which pixel shows what".
 */
public final class PixelMap {
  private final Section section;
  private final ColourOrder order;

  private PixelMap(Section section, ColourOrder order) {
    this.section = section;
    this.order = order;
  }

  /**
   * @param typeOrder the pixel type's order, which counts where the section has none
   */
  public static PixelMap of(Section section, ColourOrder typeOrder) {
    return new PixelMap(section, section.colourOrder().orElse(typeOrder));
  }

  /** Places on the wire: null pixels first, then those that light. */
  public int places() {
    return section.nullPixels() + section.pixels();
  }

  /**
   * @param place on the wire, from 0
   * @return the address, from 0; none for a null pixel
   */
  public OptionalInt addressAt(int place) {
    if (place < 0 || place >= places()) {
      throw new IndexOutOfBoundsException(
          "Place %d is not on this section; it has 0 to %d".formatted(place, places() - 1));
    }
    int w = place - section.nullPixels();
    return w < 0 ? OptionalInt.empty() : OptionalInt.of(inSpace(w) / section.group());
  }

  /**
   * @return the channel that each byte on the wire carries, in the order sent, counted from 0 at
   *     the section's start without skipped channels; empty for a null pixel
   */
  public int[] channelsAt(int place) {
    OptionalInt address = addressAt(place);
    if (address.isEmpty()) {
      return new int[0];
    }
    int[] channels = new int[order.channels()];
    for (int wireByte = 0; wireByte < channels.length; wireByte++) {
      channels[wireByte] = address.getAsInt() * order.channels() + order.channelOf(wireByte);
    }
    return channels;
  }

  /** Where pixel w of the wire lies among the pixels as they are looked at. */
  private int inSpace(int w) {
    int pixels = section.pixels();
    int q = section.fold().map(fold -> folded(w, fold)).orElse(w);
    return section.backward() ? pixels - 1 - q : q;
  }

  private int folded(int w, int fold) {
    int row = w / fold;
    int j = w % fold;
    int inRow = Math.min(fold, section.pixels() - row * fold);
    return row * fold + (row % 2 == 1 ? inRow - 1 - j : j);
  }
}
