package hamper.arrange;

import hamper.display.PieceAt;
import java.util.Optional;

/**
 * A piece with the place that it has for now.
 *
 * @param metres of cable before it (m), where both zones have a place
 * @param cost of hanging it there when it was hung
 */
record Placed(PieceAt at, Outlet outlet, Optional<Double> metres, double cost) {
  String piece() {
    return at.piece().id();
  }
}
