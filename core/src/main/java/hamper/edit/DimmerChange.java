package hamper.edit;

import hamper.display.Piece;
import hamper.display.SerialDimmer;

/** What changes of a serial dimmer. */
public record DimmerChange(Change<String> name, Change<Integer> unit, Change<Integer> circuits)
    implements PieceChange {
  @Override
  public Piece over(Piece value) {
    return Fields.over(PieceChange.as(SerialDimmer.class, value), this);
  }
}
