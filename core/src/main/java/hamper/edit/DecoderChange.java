package hamper.edit;

import hamper.display.Piece;
import hamper.display.StripDecoder;

/** What changes of a strip decoder. */
public record DecoderChange(
    Change<String> name, Change<Integer> slot, Change<Integer> pixels, Change<Integer> ledsPerPixel)
    implements PieceChange {
  @Override
  public Piece over(Piece value) {
    return Fields.over(PieceChange.as(StripDecoder.class, value), this);
  }
}
