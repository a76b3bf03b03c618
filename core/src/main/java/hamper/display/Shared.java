package hamper.display;

import java.util.List;

/**
 * What two plans, mostly one before an edit and one after it, hold as one and the same value, so
 * that what follows from it need not be worked out again.
 */
public final class Shared {
  private final Plan before;
  private final Plan after;
  private final boolean surroundings;

  private Shared(Plan before, Plan after) {
    this.before = before;
    this.after = after;
    Display was = before.display();
    Display is = after.display();
    surroundings =
        was.settings().equals(is.settings())
            && was.models().equals(is.models())
            && was.pixelTypes().equals(is.pixelTypes())
            && was.zones().equals(is.zones())
            && was.power().equals(is.power())
            && was.enclosures().equals(is.enclosures());
  }

  public static Shared between(Plan before, Plan after) {
    return new Shared(before, after);
  }

  /**
   * Whether a controller, all that hangs on it and all that loads of its ports follow from is the
   * same in both; where it stands in the list, and hence its addresses, may differ.
   *
   * @param controller of the plan after
   */
  public boolean holds(Controller controller) {
    if (!surroundings || before.controller(controller.id()).orElse(null) != controller) {
      return false;
    }
    List<HungRun> was = before.runsOf(controller);
    List<HungRun> is = after.runsOf(controller);
    for (int i = 0; i < is.size(); i++) {
      List<HungLeg> legs = is.get(i).legs();
      for (int j = 0; j < legs.size(); j++) {
        if (was.get(i).legs().get(j).at().prop() != legs.get(j).at().prop()) {
          return false;
        }
      }
    }
    return true;
  }
}
