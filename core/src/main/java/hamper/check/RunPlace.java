package hamper.check;

import hamper.display.HungLeg;
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
    HungLeg leg = plan.run(port).orElseThrow().at(position);
    return new RunPlace(leg.leg().piece(), position - leg.start());
  }
}
