package hamper.advise;

import hamper.check.Finding;
import hamper.check.Subject;
import hamper.display.Controller;
import hamper.display.Leg;
import hamper.display.LegAt;
import hamper.display.PieceAt;
import hamper.display.PortRef;
import hamper.display.Run;
import hamper.edit.AddFeeds;
import hamper.edit.Edit;
import hamper.edit.PatchNearest;
import hamper.edit.PatchPieces;
import hamper.edit.Together;
import hamper.edit.UnpatchPieces;
import hamper.facts.Facts;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Hangs legs on the nearest port with room: as few as it takes, from the end of the run. */
final class MoveLegsAdviser implements Adviser {
  @Override
  public Stream<Edit> think(Facts facts, Finding finding) {
    Subject main = finding.subjects().get(0);
    if (main.port().isEmpty()) {
      List<String> loose = finding.pieces().toList();
      return loose.isEmpty() ? Stream.empty() : Stream.of(new PatchNearest(loose));
    }
    PortRef port = main.port().get();
    Controller controller = facts.plan().existingController(port.controller());
    List<String> legs =
        controller.run(port.kind(), port.port()).map(Run::legs).orElse(List.of()).stream()
            .map(Leg::piece)
            .toList();
    // an empty port of the same controller, where its supply and its addresses stay the same
    Optional<PortRef> free = EmptyPorts.of(facts.plan(), controller, port.kind()).findFirst();
    Stream<Edit> named = main.piece().stream().flatMap(piece -> move(facts, List.of(piece), free));
    // the fewest that help come first, and the list ends with the first that does
    Stream<Edit> fromTheEnd =
        IntStream.rangeClosed(1, legs.size())
            .boxed()
            .flatMap(count -> move(facts, legs.subList(legs.size() - count, legs.size()), free));
    return Stream.concat(named, fromTheEnd);
  }

  /** One: moving more than it takes helps too, and nobody wants it. */
  @Override
  public int most() {
    return 1;
  }

  /** To wherever there is room; where that brings trouble, to an empty port beside. */
  private static Stream<Edit> move(Facts facts, List<String> pieces, Optional<PortRef> free) {
    return Stream.concat(
        Stream.of(toNearest(facts, pieces)),
        free.stream().map(port -> new PatchPieces(pieces, port, Optional.empty())));
  }

  private static Edit toNearest(Facts facts, List<String> pieces) {
    PieceAt first = facts.plan().existingPiece(pieces.get(0));
    String what = pieces.size() == 1 ? first.title() : pieces.size() + " pieces";
    String title = "Move %s to the nearest port with room".formatted(what);
    return new Together(
        title.length() > 80 ? "Move a piece to the nearest port with room" : title,
        Stream.concat(
                Stream.of(new UnpatchPieces(pieces), new PatchNearest(pieces)),
                feeds(facts, pieces))
            .toList());
  }

  /** Feeds are soldered to the string, so they go with it. */
  private static Stream<Edit> feeds(Facts facts, List<String> pieces) {
    return pieces.stream()
        .flatMap(piece -> facts.plan().leg(piece).stream())
        .map(LegAt::leg)
        .filter(leg -> !leg.feeds().isEmpty())
        .map(leg -> new AddFeeds(leg.piece(), leg.feeds()));
  }
}
