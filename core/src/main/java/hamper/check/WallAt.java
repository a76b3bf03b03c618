package hamper.check;

import hamper.display.Piece;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.display.Wall;
import java.util.ArrayList;
import java.util.List;

/** A wall, and where a finding about it leads. */
record WallAt(Wall wall, String title, Subject subject) {
  static List<WallAt> all(Plan plan) {
    List<WallAt> walls = new ArrayList<>();
    for (Prop prop : plan.display().props()) {
      for (Piece piece : prop.pieces()) {
        if (piece instanceof Wall wall) {
          walls.add(of(plan, wall));
        }
      }
    }
    return walls;
  }

  private static WallAt of(Plan plan, Wall wall) {
    Subject subject =
        plan.leg(wall.id())
            .map(at -> Subject.leg(at.port(), wall.id()))
            .orElseGet(() -> Subject.piece(wall.id()));
    return new WallAt(wall, plan.existingPiece(wall.id()).title(), subject);
  }
}
