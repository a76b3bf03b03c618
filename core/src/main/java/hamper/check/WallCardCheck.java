package hamper.check;

import hamper.display.Panels;
import hamper.facts.Facts;
import java.util.List;
import java.util.function.Consumer;

/** A panel card with more pixels than it takes, or slower than the show. */
final class WallCardCheck extends Check {
  WallCardCheck() {
    super(
        "wall-card",
        Area.WALLS,
        Severity.FAULT,
        "Panel card overloaded or too slow",
        "Pixels of the rows on a card with the card's capacity (fault), and its refresh with the show's rate (risk)",
        "Part of the wall stays dark, or moving pictures stutter.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    int rate = facts.plan().display().settings().framesPerSecond();
    for (WallAt at : WallAt.all(facts.plan())) {
      at.wall()
          .panels()
          .ifPresent(panels -> panels.cards().forEach(card -> check(at, panels, card, rate, out)));
    }
  }

  private void check(WallAt at, Panels panels, Panels.Card card, int rate, Consumer<Finding> out) {
    int pixels = panels.pixelsOf(card);
    if (pixels > card.mostPixels()) {
      out.accept(
          finding(
              "Card %s of %s drives %d pixels and takes %d"
                  .formatted(card.name(), at.title(), pixels, card.mostPixels()),
              Measure.count(pixels, "pixels"),
              Measure.count(card.mostPixels(), "pixels"),
              List.of(at.subject())));
    }
    if (card.refreshHertz() < rate) {
      Measure hertz = Measure.of(card.refreshHertz(), 0, "Hz");
      out.accept(
          finding(
              Severity.RISK,
              "Card %s of %s refreshes at %s, and the show has %d frames/s"
                  .formatted(card.name(), at.title(), hertz, rate),
              hertz,
              Measure.count(rate, "Hz"),
              List.of(at.subject())));
    }
  }
}
