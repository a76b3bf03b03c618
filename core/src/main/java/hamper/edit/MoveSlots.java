package hamper.edit;

import hamper.display.Display;
import hamper.display.Piece;
import hamper.display.Plan;
import hamper.display.SlotPiece;
import hamper.value.RefusedException;
import hamper.value.Require;
import java.util.List;

/**
 * Moves pieces along their DMX line.
 *
 * @param by slots; negative towards its beginning
 */
public record MoveSlots(List<String> pieces, int by) implements Edit {
  public MoveSlots {
    pieces = Kind.named("pieces", pieces);
    Require.inRange("by", by, -511, 511);
  }

  @Override
  public Display change(Plan plan) {
    return Pieces.change(plan, pieces, this::moved);
  }

  private Piece moved(Piece piece) {
    if (piece instanceof SlotPiece one) {
      return one.withSlot(one.slot() + by);
    }
    throw new RefusedException(
        "pieces", Require.quoted(piece.name()), "it has no slot; name fixtures or decoders");
  }

  @Override
  public boolean relative() {
    return true;
  }

  @Override
  public String label(Plan plan) {
    if (pieces.size() == 1 && plan.existingPiece(pieces.get(0)).piece() instanceof SlotPiece one) {
      return "Set slot of %s to %d"
          .formatted(plan.existingPiece(pieces.get(0)).title(), one.slot() + by);
    }
    return "Move %d pieces by %d slots".formatted(pieces.size(), by);
  }
}
