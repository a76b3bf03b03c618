package hamper.check;

import hamper.display.Wall;
import hamper.facts.Facts;
import hamper.value.Decimals;
import java.util.List;
import java.util.function.Consumer;

/** A screen whose pixels are not square, though a pitch is told. */
final class WallNotSquareCheck extends Check {
  WallNotSquareCheck() {
    super(
        "wall-not-square",
        Area.WALLS,
        Severity.HINT,
        "Pixels of a screen are not square",
        "Width and height of a screen, each divided by its pixels, with the pitch that is told; 2 % apart at most",
        "Circles become eggs.");
  }

  private static final double APART = 0.02;

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    for (WallAt at : WallAt.all(facts.plan())) {
      Wall wall = at.wall();
      if (wall.size().isPresent() && wall.pitchMillimetres().isPresent()) {
        double pitch = wall.pitchMillimetres().get();
        double across = wall.size().get().widthMillimetres() / wall.width();
        double down = wall.size().get().heightMillimetres() / wall.height();
        if (Math.abs(across / down - 1) > APART || Math.abs(across / pitch - 1) > APART) {
          Measure found = size(across, down);
          Measure allowed = size(pitch, pitch);
          out.accept(
              finding(
                  "A pixel of %s is %s, and the pitch says %s"
                      .formatted(at.title(), found, allowed),
                  found,
                  allowed,
                  List.of(at.subject())));
        }
      }
    }
  }

  private static Measure size(double across, double down) {
    return Measure.told(
        across, "mm", "%s × %s mm".formatted(Decimals.of(across, 1), Decimals.of(down, 1)));
  }
}
