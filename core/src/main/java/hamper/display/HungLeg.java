package hamper.display;

/**
 * A leg as it hangs: its piece, and where it lies along the wire. Places count pixels, null pixels
 * and gaps.
 *
 * @param index along the run, from 0
 * @param before places of the run before its gap
 * @param socket whether it begins at a socket: the port's own, or another remote box
 */
public record HungLeg(int index, Leg leg, PieceAt at, int before, boolean socket) {
  /** Places before its piece, its gap included. */
  public int start() {
    return before + leg.nullPixels();
  }

  /** Places of its piece; 0 for what is no string. */
  public int places() {
    return at.piece() instanceof PixelString string ? string.places() : 0;
  }

  /** Places of the run up to its last pixel. */
  public int end() {
    return start() + places();
  }

  /** Its remote box: the first where nobody says. */
  public int box() {
    return leg.box().orElse(1);
  }
}
