package hamper.server.store;

import hamper.value.Require;
import java.time.Instant;
import java.util.Optional;
import java.util.Set;

/**
 * What somebody of the crew comes in with, as it is kept: not the key itself.
 *
 * @param display the id of the only display that it opens
 * @param name whose it is, for the planner to tell keys apart
 * @param may what it allows besides reading
 * @param until when it lets in
 * @param withdrawn since when it does not any more
 */
public record CrewKey(
    String id,
    String display,
    String name,
    Set<Right> may,
    Instant made,
    Instant until,
    Optional<Instant> withdrawn) {
  /** What a key may allow besides reading the plan. */
  public enum Right {
    TICK,
    NOTE,
    PHOTO,
    LIGHT,
    RESCUE
  }

  public CrewKey {
    Require.name("name", name);
    may = Set.copyOf(may);
  }

  /** Whether it lets in. */
  public boolean opens(Instant now) {
    return withdrawn.isEmpty() && now.isBefore(until);
  }
}
