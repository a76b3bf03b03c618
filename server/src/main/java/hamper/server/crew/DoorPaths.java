package hamper.server.crew;

import hamper.server.store.CrewKey;
import hamper.server.store.CrewKey.Right;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/** All that is answered at the crew door: what is not on this list does not exist there. */
final class DoorPaths {
  /** Where a key is shown, by whoever has none yet. */
  static final String ENTER = "/crew/api/enter";

  /**
   * @param any rights of which the key has to have one; none: whoever has a key
   */
  record Allowed(String method, Pattern path, Set<Right> any) {
    boolean covers(CrewKey key) {
      return any.isEmpty() || any.stream().anyMatch(key.may()::contains);
    }
  }

  private static final List<Allowed> ALL =
      List.of(
          allowed("GET", "yard"),
          allowed("GET", "strings"),
          allowed("GET", "strings/[^/]+/history"),
          allowed("GET", "controllers/[^/]+"),
          allowed("GET", "moves"),
          allowed("GET", "events"),
          allowed("GET", "photos/[^/]+"),
          allowed("GET", "guides"),
          allowed("POST", "guides/[^/]+"),
          allowed("POST", "claims", Right.TICK, Right.NOTE),
          allowed("POST", "photos", Right.PHOTO),
          allowed("PUT", "light", Right.LIGHT),
          allowed("DELETE", "light", Right.LIGHT),
          allowed("DELETE", "light/all", Right.LIGHT),
          allowed("PUT", "held", Right.LIGHT),
          allowed("GET", "rescue/[^/]+", Right.RESCUE),
          allowed("POST", "rescue/[^/]+", Right.RESCUE));

  private DoorPaths() {}

  private static Allowed allowed(String method, String below, Right... any) {
    return new Allowed(method, Pattern.compile("/crew/api/" + below), Set.of(any));
  }

  static Optional<Allowed> of(String method, String path) {
    return ALL.stream()
        .filter(one -> one.method().equals(method) && one.path().matcher(path).matches())
        .findFirst();
  }
}
