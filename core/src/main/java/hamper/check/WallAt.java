package hamper.check;

import hamper.display.Plan;
import hamper.display.Wall;
import java.util.List;

/** A wall, and where a finding about it leads. */
record WallAt(Wall wall, String title, Subject subject) {
  static List<WallAt> all(Plan plan) {
    return plan.display().props().stream()
        .flatMap(prop -> prop.pieces().stream())
        .filter(Wall.class::isInstance)
        .map(Wall.class::cast)
        .map(wall -> of(plan, wall))
        .toList();
  }

  private static WallAt of(Plan plan, Wall wall) {
    Subject subject =
        plan.leg(wall.id())
            .map(at -> Subject.leg(at.port(), wall.id()))
            .orElseGet(() -> Subject.piece(wall.id()));
    return new WallAt(wall, plan.existingPiece(wall.id()).title(), subject);
  }
}
