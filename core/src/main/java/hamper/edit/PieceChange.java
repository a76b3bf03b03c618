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
import java.util.Map;

/** What changes of a piece of one kind. */
public sealed interface PieceChange
    permits StringChange, CircuitChange, FixtureChange, DecoderChange, DimmerChange, WallChange {
  /** The change of each kind of piece. */
  Map<Class<? extends Piece>, Class<? extends Record>> KINDS =
      Map.of(
          PixelString.class, StringChange.class,
          Circuit.class, CircuitChange.class,
          Fixture.class, FixtureChange.class,
          StripDecoder.class, DecoderChange.class,
          SerialDimmer.class, DimmerChange.class,
          Wall.class, WallChange.class);

  /**
   * The piece afterwards.
   *
   * @throws RefusedException where it is of another kind, or cannot be so
   */
  default Piece over(Piece piece) {
    Require.that(
        KINDS.get(piece.getClass()) == getClass(),
        "set.kind",
        Require.quoted(piece.name()),
        "this piece is of another kind; name its own");
    return (Piece) Fields.over((Record) piece, (Record) this);
  }

  /** What is to be said to make one piece of another of its kind; sections are not said with it. */
  static PieceChange between(Piece before, Piece after) {
    return before instanceof PixelString string
        ? StringChange.between(string, (PixelString) after)
        : (PieceChange)
            Fields.between(KINDS.get(before.getClass()), (Record) before, (Record) after);
  }
}
