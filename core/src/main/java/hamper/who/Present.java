package hamper.who;

import hamper.address.IpAddress;
import java.util.List;
import java.util.Optional;

/**
 * One that is planned, one that is there, or both.
 *
 * @param state the gravest of what is said of it
 * @param controller the id of the planned one; left out where nobody planned it
 * @param at where it answered; left out where nobody did
 * @param planned the address that it is planned to have
 * @param ways in which it answered
 * @param model the id of the catalogue's model that it is, as far as it is known
 * @param product what it says that it is; may be empty
 * @param ownName what it calls itself; may be empty
 * @param serial where it says one
 * @param told one sentence for each thing that differs
 */
public record Present(
    State state,
    Optional<String> controller,
    Optional<IpAddress> at,
    Optional<IpAddress> planned,
    List<Way> ways,
    Optional<String> model,
    String product,
    String ownName,
    Optional<String> serial,
    List<String> told) {
  /** From the gravest on. */
  public enum State {
    MISSING("missing"),
    OTHER_MODEL("another model"),
    OTHER_ADDRESS("another address"),
    UNKNOWN("nobody planned it"),
    OTHER_NAME("another name"),
    CANNOT_BE_ASKED("cannot be asked"),
    AS_PLANNED("as planned");

    private final String title;

    State(String title) {
      this.title = title;
    }

    public String title() {
      return title;
    }
  }

  public Present {
    ways = List.copyOf(ways);
    told = List.copyOf(told);
  }
}
