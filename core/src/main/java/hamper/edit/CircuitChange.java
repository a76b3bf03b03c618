package hamper.edit;

import hamper.display.Circuit;
import hamper.display.Hold;
import hamper.display.Piece;

/** What changes of a circuit. */
public record CircuitChange(
    Change<String> name,
    Change<Integer> threshold,
    Change<Boolean> safeOn,
    Change<Hold> hold,
    Change<Double> shortestOnSeconds,
    Change<Double> shortestOffSeconds,
    Change<Double> longestOnSeconds,
    Change<String> interlock)
    implements PieceChange {
  @Override
  public Piece over(Piece value) {
    return Fields.over(PieceChange.as(Circuit.class, value), this);
  }
}
