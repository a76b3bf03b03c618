package hamper.server.live;

import java.util.List;

/**
 * An edit was made on a version that is no longer the newest, and does not go together with what
 * was done since.
 */
public final class StaleVersionException extends RuntimeException {
  private final int version;
  private final List<String> since;
  private final List<Overlap> overlaps;

  /**
   * What was written meanwhile and would be written again.
   *
   * @param path such as {@code controllers/k1/settings/brightness}
   * @param words such as "brightness of K1"
   */
  public record Overlap(String path, String words) {}

  StaleVersionException(int madeOn, int version, List<String> since, List<Overlap> overlaps) {
    super(
        "%s was made on version %d, and the display is at version %d%s"
            .formatted(
                overlaps.isEmpty() ? "The edit" : "The edit of " + overlaps.get(0).words(),
                madeOn,
                version,
                told(version - (long) madeOn, since)));
    this.version = version;
    this.since = List.copyOf(since);
    this.overlaps = List.copyOf(overlaps);
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

  /** What both write; empty where that is not what is wrong. */
  public List<Overlap> overlaps() {
    return overlaps;
  }
}
