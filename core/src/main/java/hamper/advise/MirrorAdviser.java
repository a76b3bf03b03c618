package hamper.advise;

import hamper.check.Finding;
import hamper.edit.Edit;
import hamper.edit.SetLegs;
import hamper.facts.Facts;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Marks two legs that show the same as mirrors: the second answers to the addresses of the first.
 */
final class MirrorAdviser implements Adviser {
  @Override
  public Stream<Edit> think(Facts facts, Finding finding) {
    List<String> pieces = finding.pieces().toList();
    boolean equal =
        pieces.size() == 2 && channels(facts, pieces.get(0)) == channels(facts, pieces.get(1));
    return equal
        ? Stream.of(SetLegs.mirror(pieces.get(1), Optional.of(pieces.get(0))))
        : Stream.empty();
  }

  private static int channels(Facts facts, String piece) {
    return facts
        .resolution()
        .placements()
        .filter(at -> at.piece().equals(piece))
        .mapToInt(at -> at.channels())
        .sum();
  }
}
