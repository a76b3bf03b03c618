package hamper.arrange;

import hamper.display.PieceAt;
import java.util.Optional;

/**
 * A piece with the place that it has for now.
 *
 * @param spot the cable before it, and its remote box where the port has some
 * @param cost of hanging it there when it was hung
 */
record Placed(PieceAt at, Outlet outlet, Chain.Spot spot, double cost) {
  String piece() {
    return at.piece().id();
  }

  /** Cable before it (m), where both zones have a place. */
  Optional<Double> metres() {
    return spot.metres();
  }

  /** The remote box that it hangs on, from 1, where its port has some. */
  Optional<Integer> box() {
    return outlet.hasBoxes() ? Optional.of(spot.box()) : Optional.empty();
  }
}
