package hamper.server.live;

import java.util.List;

/** An edit was made on a version that is no longer the newest. */
public final class StaleVersionException extends RuntimeException {
  private final int version;
  private final List<String> since;

  StaleVersionException(int madeOn, int version, List<String> since) {
    super(
        "The edit was made on version %d, and the display is at version %d. Since then: %s"
            .formatted(madeOn, version, String.join("; ", since)));
    this.version = version;
    this.since = List.copyOf(since);
  }

  public int version() {
    return version;
  }

  /** What was done since, as the log says it. */
  public List<String> since() {
    return since;
  }
}
