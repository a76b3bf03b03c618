package hamper.display;

import hamper.address.ColourOrder;
import hamper.catalog.PixelType;
import java.util.Optional;

/**
 * A piece and the prop that it belongs to.
 *
 * @param type of its pixels, where it is a string
 */
public record PieceAt(Prop prop, Piece piece, Optional<PixelType> type) {
  /** How people call the piece. */
  public String title() {
    return prop.titleOf(piece);
  }

  /**
   * The string that it is; what hangs on a pixel port is one.
   *
   * @throws ClassCastException where it is something else
   */
  public PixelString string() {
    return (PixelString) piece;
  }

  /** The type of its pixels; what hangs on a pixel port has one. */
  public PixelType pixels() {
    return type.orElseThrow();
  }

  /** Channels that the piece takes; 0 where it takes none of the display. */
  public long channels() {
    if (piece instanceof PixelString string) {
      long addresses = 0;
      for (Section section : string.sections()) {
        addresses += section.addresses();
      }
      return addresses * pixels().channels();
    } else if (piece instanceof Wall wall) {
      return (long) wall.pixels() * Wall.CHANNELS_PER_PIXEL;
    } else if (piece instanceof SlotPiece slotted) {
      return slotted.channels();
    }
    return piece instanceof Circuit ? 1 : 0;
  }

  /** The order in which the pixels of one of its sections take their bytes. */
  public ColourOrder orderOf(Section section) {
    return section.colourOrder().isPresent() ? section.colourOrder().get() : pixels().colourOrder();
  }
}
