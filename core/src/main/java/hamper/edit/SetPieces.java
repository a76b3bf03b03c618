package hamper.edit;

import hamper.address.ColourOrder;
import hamper.display.Display;
import hamper.display.Piece;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Section;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * Changes settings of pieces of one kind. Where a string gets another pixel type, colour orders of
 * its sections that have another number of channels go.
 */
public record SetPieces(List<String> pieces, PieceChange set) implements Edit {
  public SetPieces {
    pieces = Kind.named("pieces", pieces);
  }

  /** What makes one piece of another of its kind; of its sections nothing. */
  public static SetPieces between(Piece before, Piece after) {
    return new SetPieces(List.of(after.id()), PieceChange.between(before, after));
  }

  @Override
  public Display change(Plan plan) {
    UnaryOperator<Piece> how =
        set instanceof StringChange change && change.pixelType().said()
            ? piece -> fitting(plan, (PixelString) set.over(piece))
            : set::over;
    return Pieces.change(plan, pieces, how);
  }

  private static PixelString fitting(Plan plan, PixelString string) {
    int channels =
        plan.catalog().pixelType(string.pixelType()).map(type -> type.channels()).orElse(0);
    List<Section> sections =
        string.sections().stream()
            .map(
                one ->
                    one.colourOrder().map(ColourOrder::channels).orElse(channels) == channels
                        ? one
                        : one.withColourOrder(Optional.empty()))
            .toList();
    return string.withSections(sections);
  }

  @Override
  public String label(Plan plan) {
    return Told.of(plan, pieces, id -> plan.existingPiece(id).title(), "pieces", (Record) set);
  }
}
