package hamper.advise;

import hamper.check.Finding;
import hamper.display.Piece;
import hamper.display.PieceAt;
import hamper.edit.Edit;
import hamper.edit.EditsBetween;
import hamper.edit.SetLegs;
import hamper.facts.Facts;
import hamper.value.Require;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Lets held addresses flow, so that they go past what stands there; or ends a mirror. */
final class LetGoAdviser implements Adviser {
  @Override
  public Stream<Edit> think(Facts facts, Finding finding) {
    List<Edit> edits = new ArrayList<>();
    List<String> pieces =
        finding.subjects().stream().flatMap(s -> s.piece().stream()).distinct().toList();
    // the one named last came to the other
    for (int i = pieces.size() - 1; i >= 0; i--) {
      PieceAt at = facts.plan().existingPiece(pieces.get(i));
      free(at.piece())
          .map(piece -> EditsBetween.of(at.piece(), piece))
          .ifPresent(let -> edits.add(EditsBetween.together(title(at), let)));
      boolean mirror =
          facts
              .plan()
              .leg(pieces.get(i))
              .filter(leg -> leg.leg().mirrorOf().isPresent())
              .isPresent();
      if (mirror) {
        edits.add(SetLegs.mirror(pieces.get(i), Optional.empty()));
      }
    }
    return edits.stream();
  }

  private static String title(PieceAt at) {
    String title = "Let go " + at.title();
    return title.length() > Require.LONGEST_NAME ? "Let a piece go" : title;
  }

  /** The piece without any hold; empty where it has none. */
  private static Optional<Piece> free(Piece piece) {
    return Optional.of(piece.withoutHolds()).filter(free -> !free.equals(piece));
  }
}
