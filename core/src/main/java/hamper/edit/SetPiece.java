package hamper.edit;

import hamper.display.Display;
import hamper.display.Piece;
import hamper.display.Plan;

/** Puts a piece in the place of the one with its id, with everything that is set for it. */
public record SetPiece(Piece piece) implements Edit {
  @Override
  public Display change(Plan plan) {
    return Pieces.replace(plan, piece);
  }

  @Override
  public String label(Plan plan) {
    return "Change " + plan.existingPiece(piece.id()).title();
  }
}
