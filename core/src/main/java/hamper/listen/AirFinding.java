package hamper.listen;

import hamper.address.Protocol;
import java.util.List;
import java.util.Optional;

/**
 * Something of the moment in which what is heard differs from what is planned.
 *
 * @param firstUniverse of those that it is about; 0 on DDP
 * @param lastUniverse the same or one after it; what is said of neighbours is said once
 * @param controllers ids of those that it is for
 * @param sender its address, where it is about one
 * @param text one sentence
 */
public record AirFinding(
    Kind kind,
    Protocol protocol,
    int firstUniverse,
    int lastUniverse,
    List<String> controllers,
    Optional<String> sender,
    String text) {
  /** What differs. */
  public enum Kind {
    SECOND_OF_EQUAL_PRIORITY("a second sender of equal priority"),
    SECOND_OF_LOWER_PRIORITY("a second sender of lower priority"),
    SECOND_OF_HIGHER_PRIORITY("a second sender of higher priority"),
    OTHER_PRIORITY("another priority than planned"),
    NOT_PLANNED("sent, and nobody planned it"),
    OTHER_PLACE("sent to another address than planned"),
    NOT_HEARD("planned, and not heard"),
    OTHER_SIZE("another size than planned");

    private final String title;

    Kind(String title) {
      this.title = title;
    }

    public String title() {
      return title;
    }
  }

  public AirFinding {
    controllers = List.copyOf(controllers);
  }
}
