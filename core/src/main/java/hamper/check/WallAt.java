package hamper.check;

import hamper.display.PieceAt;
import hamper.display.Plan;
import hamper.display.Wall;
import java.util.List;

/** A wall, and where a finding about it leads. */
record WallAt(Wall wall, String title, Subject subject) {
  static List<WallAt> all(Plan plan) {
    return plan.walls().stream().map(at -> of(plan, at)).toList();
  }

  private static WallAt of(Plan plan, PieceAt at) {
    return new WallAt((Wall) at.piece(), at.title(), Subject.of(plan, at.piece().id()));
  }
}
