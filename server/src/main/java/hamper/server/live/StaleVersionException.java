package hamper.server.live;

import java.util.List;

/** An edit was made on a version that is no longer the newest. */
public final class StaleVersionException extends RuntimeException {
  private final int version;
  private final List<String> since;

  StaleVersionException(int madeOn, int version, List<String> since) {
    super(
        "The edit was made on version %d, and the display is at version %d%s"
            .formatted(madeOn, version, told(version - (long) madeOn, since)));
    this.version = version;
    this.since = List.copyOf(since);
  }

  private static String told(long steps, List<String> since) {
    if (since.isEmpty()) {
      return "";
    }
    String which =
        steps > since.size() ? "Of %,d steps since then the latest".formatted(steps) : "Since then";
    return ". %s: %s".formatted(which, String.join("; ", since));
  }

  public int version() {
    return version;
  }

  /** What was done since, as the log says it; of many steps the latest. */
  public List<String> since() {
    return since;
  }
}
