package hamper.edit;

import hamper.display.Display;
import hamper.display.Piece;
import hamper.display.PieceAt;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.display.Section;
import hamper.value.RefusedException;
import hamper.value.Require;
import java.util.List;

/** What several edits do to props and their pieces. */
final class Pieces {
  private Pieces() {}

  /** The display with one piece in place of that of the same id. */
  static Display replace(Plan plan, Piece changed) {
    PieceAt at = plan.existingPiece(changed.id());
    List<Piece> pieces =
        at.prop().pieces().stream()
            .map(piece -> piece.id().equals(changed.id()) ? changed : piece)
            .toList();
    List<Prop> props =
        plan.display().props().stream()
            .map(prop -> prop == at.prop() ? prop.withPieces(pieces) : prop)
            .toList();
    return plan.display().withProps(props);
  }

  /** A section that has to be there. */
  static Section section(PixelString string, int index) {
    Require.inRange("index", index, 0, string.sections().size() - 1);
    return string.sections().get(index);
  }

  /** A piece that has to be a string. */
  static PixelString string(Plan plan, String id) {
    PieceAt at = plan.existingPiece(id);
    if (at.piece() instanceof PixelString string) {
      return string;
    }
    throw new RefusedException(
        "piece", Require.quoted(at.title()), "only a string has sections; name a string");
  }
}
