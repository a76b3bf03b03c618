package hamper.edit;

import hamper.display.Circuit;
import hamper.display.Hold;
import hamper.display.Piece;

/** What changes of a circuit. */
public record CircuitChange(
    Change<String> name, Change<Integer> threshold, Change<Boolean> safeOn, Change<Hold> hold)
    implements PieceChange {
  @Override
  public Piece over(Piece value) {
    return Fields.over(PieceChange.as(Circuit.class, value), this);
  }
}
