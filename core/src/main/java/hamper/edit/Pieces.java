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
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.UnaryOperator;

/** What several edits do to props and their pieces. */
final class Pieces {
  private Pieces() {}

  /** The display with one piece in place of that of the same id. */
  static Display replace(Plan plan, Piece changed) {
    return change(plan, List.of(changed.id()), piece -> changed);
  }

  /**
   * The display with some pieces changed where they are.
   *
   * @throws RefusedException where there is no piece of an id, or it cannot be so
   */
  static Display change(Plan plan, List<String> pieces, UnaryOperator<Piece> how) {
    Set<String> ids = new HashSet<>(pieces);
    Set<String> props = new HashSet<>();
    pieces.forEach(piece -> props.add(plan.existingPiece(piece).prop().id()));
    return plan.display()
        .withProps(
            plan.display().props().stream()
                .map(prop -> props.contains(prop.id()) ? changed(prop, ids, how) : prop)
                .toList());
  }

  private static Prop changed(Prop prop, Set<String> ids, UnaryOperator<Piece> how) {
    return prop.withPieces(
        prop.pieces().stream()
            .map(piece -> ids.contains(piece.id()) ? how.apply(piece) : piece)
            .toList());
  }

  /** One is called by its title, several are counted. */
  static String called(Plan plan, List<String> pieces) {
    return pieces.size() == 1
        ? plan.existingPiece(pieces.get(0)).title()
        : pieces.size() + " pieces";
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
