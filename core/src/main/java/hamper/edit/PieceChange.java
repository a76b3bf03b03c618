package hamper.edit;

import hamper.display.Circuit;
import hamper.display.Fixture;
import hamper.display.Piece;
import hamper.display.PixelString;
import hamper.display.SerialDimmer;
import hamper.display.StripDecoder;
import hamper.display.Wall;
import hamper.value.RefusedException;
import hamper.value.Require;

/** What changes of a piece of one kind. */
public sealed interface PieceChange
    permits StringChange, CircuitChange, FixtureChange, DecoderChange, DimmerChange, WallChange {
  /**
   * The piece afterwards.
   *
   * @throws RefusedException where it is of another kind, or cannot be so
   */
  Piece over(Piece piece);

  /** What is to be said to make one piece of another of its kind; sections are not said with it. */
  static PieceChange between(Piece before, Piece after) {
    if (before instanceof PixelString string) {
      return StringChange.between(string, (PixelString) after);
    } else if (before instanceof Circuit circuit) {
      return Fields.between(CircuitChange.class, circuit, (Circuit) after);
    } else if (before instanceof Fixture fixture) {
      return Fields.between(FixtureChange.class, fixture, (Fixture) after);
    } else if (before instanceof StripDecoder decoder) {
      return Fields.between(DecoderChange.class, decoder, (StripDecoder) after);
    } else if (before instanceof SerialDimmer dimmer) {
      return Fields.between(DimmerChange.class, dimmer, (SerialDimmer) after);
    }
    return Fields.between(WallChange.class, (Wall) before, (Wall) after);
  }

  /**
   * @throws RefusedException where the piece is of another kind
   */
  static <P extends Piece> P as(Class<P> kind, Piece piece) {
    if (kind.isInstance(piece)) {
      return kind.cast(piece);
    }
    throw new RefusedException(
        "set.kind", Require.quoted(piece.name()), "this piece is of another kind; name its own");
  }
}
