package hamper.check;

import hamper.display.Leg;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.PortRef;

/**
 * A position of a run, told by its string.
 *
 * @param pixel of the string, null pixels counted, from 1; 0 and below: in the gap before it
 */
record RunPlace(String piece, int pixel) {
  /**
   * @param position in the run, null pixels and gaps counted, from 1
   */
  static RunPlace of(Plan plan, PortRef port, int position) {
    int before = 0;
    for (Leg leg :
        plan.existingController(port.controller())
            .run(port.kind(), port.port())
            .orElseThrow()
            .legs()) {
      PixelString string = (PixelString) plan.existingPiece(leg.piece()).piece();
      int start = before + leg.nullPixels();
      if (position <= start + string.places()) {
        return new RunPlace(leg.piece(), position - start);
      }
      before = start + string.places();
    }
    throw new IllegalArgumentException("position %d of %d".formatted(position, before));
  }
}
