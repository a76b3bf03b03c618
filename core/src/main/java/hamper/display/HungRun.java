package hamper.display;

import hamper.catalog.PortKind;
import java.util.ArrayList;
import java.util.List;

/**
 * A run with what hangs on it, leg by leg: whoever counts along a wire asks here.
 *
 * @param boxes whether its port comes out at remote boxes
 * @param legs in wire order
 */
public record HungRun(Controller controller, Run run, boolean boxes, List<HungLeg> legs) {
  public HungRun {
    legs = List.copyOf(legs);
  }

  /** A run as it hangs, or is only being tried. */
  public static HungRun of(Plan plan, Controller controller, Run run) {
    List<HungLeg> legs = new ArrayList<>(run.legs().size());
    HungLeg last = null;
    for (int i = 0; i < run.legs().size(); i++) {
      Leg leg = run.legs().get(i);
      boolean socket = last == null || leg.box().orElse(1) != last.box();
      int before = last == null ? 0 : last.end();
      last = new HungLeg(i, leg, plan.existingPiece(leg.piece()), before, socket);
      legs.add(last);
    }
    return new HungRun(controller, run, plan.hasBoxes(controller, run.kind()), legs);
  }

  public PortRef port() {
    return new PortRef(controller.id(), run.kind(), run.port());
  }

  /** Whether pixels hang on it. */
  public boolean carriesPixels() {
    return run.kind() == PortKind.PIXEL && !legs.isEmpty();
  }

  /** As people write its port: K1-7. */
  public String written() {
    return port().written(controller.tag());
  }

  /** Places of the whole run. */
  public int places() {
    return legs.isEmpty() ? 0 : legs.get(legs.size() - 1).end();
  }

  /**
   * The leg at a place of the run; its gap belongs to it.
   *
   * @param place from 1 to {@link #places()}
   */
  public HungLeg at(int place) {
    for (HungLeg leg : legs) {
      if (place >= 1 && place <= leg.end()) {
        return leg;
      }
    }
    throw new IllegalArgumentException("place %d of %d".formatted(place, places()));
  }

  /** The cable before a leg: from the socket, or from the piece before. */
  public Cable cableTo(HungLeg leg, Plan plan) {
    return Cable.before(plan, this, leg);
  }

  /** The planned brightness of a section that hangs here (percent). */
  public int brightness(PieceAt at, Section section) {
    return Brightness.percent(section, at.prop(), run, controller);
  }
}
