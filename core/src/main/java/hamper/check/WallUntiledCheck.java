package hamper.check;

import hamper.display.Panels;
import hamper.facts.Facts;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.IntStream;

/** Rows of panels that no card carries. */
final class WallUntiledCheck extends Check {
  WallUntiledCheck() {
    super(
        "wall-untiled",
        Area.WALLS,
        Severity.FAULT,
        "Panels that no card carries",
        "Rows of panels with the rows on the wall's cards, where cards are told",
        "Those rows stay dark.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    for (WallAt at : WallAt.all(facts.plan())) {
      at.wall()
          .panels()
          .filter(panels -> !panels.cards().isEmpty())
          .ifPresent(panels -> check(at, panels, out));
    }
  }

  private void check(WallAt at, Panels panels, Consumer<Finding> out) {
    Set<Integer> carried = new HashSet<>();
    panels.cards().forEach(card -> carried.addAll(card.rows()));
    List<String> dark =
        IntStream.rangeClosed(1, panels.rows())
            .filter(row -> !carried.contains(row))
            .mapToObj(String::valueOf)
            .toList();
    if (!dark.isEmpty()) {
      out.accept(
          finding(
              "No card carries row %s of %s".formatted(String.join(", ", dark), at.title()),
              Measure.told(
                  panels.rows() - dark.size(),
                  "rows",
                  "%d of %d rows".formatted(panels.rows() - dark.size(), panels.rows())),
              Measure.count(panels.rows(), "rows"),
              List.of(at.subject())));
    }
  }
}
