package hamper.who;

import java.util.List;
import java.util.Optional;

/**
 * A piece that is planned on a line, a device that was found there, or both.
 *
 * @param state the gravest of what is said of it
 * @param piece the id of the planned one
 * @param plannedPlace the slot, or the unit number, that is planned
 * @param told one sentence for each thing that differs
 */
public record LineEntry(
    State state,
    Optional<String> piece,
    Optional<Integer> plannedPlace,
    Optional<LineDevice> device,
    List<String> told) {
  /** From the gravest on. */
  public enum State {
    COLLIDES("several answer at once"),
    OVERLAPS("on top of another"),
    MISSING("missing"),
    OTHER_PLACE("at another number"),
    OTHER_WIDTH("of another size"),
    UNKNOWN("nobody planned it"),
    AS_PLANNED("as planned");

    private final String title;

    State(String title) {
      this.title = title;
    }

    public String title() {
      return title;
    }
  }

  public LineEntry {
    told = List.copyOf(told);
  }
}
