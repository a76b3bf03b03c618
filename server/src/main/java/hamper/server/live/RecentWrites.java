package hamper.server.live;

import hamper.change.Difference;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Optional;

/**
 * What the latest steps of a display wrote: an edit that was made before them is taken all the
 * same, where it writes something else.
 */
final class RecentWrites {
  /** Most steps that are remembered. */
  private static final int MOST_STEPS = 500;

  /** Most paths that are remembered, those of all steps together. */
  private static final int MOST_PATHS = 50_000;

  private final Deque<Written> steps = new ArrayDeque<>();
  private int paths;

  /**
   * A step.
   *
   * @param version that it led to
   * @param relative whether it said by how much, and not to what
   */
  record Written(int version, String label, boolean relative, Difference difference) {}

  void add(Written step) {
    steps.add(step);
    paths += step.difference().paths().size();
    while (steps.size() > MOST_STEPS || paths > MOST_PATHS && steps.size() > 1) {
      paths -= steps.remove().difference().paths().size();
    }
  }

  /** Of all steps after a version; empty where some of them are not remembered. */
  Optional<List<Written>> since(int version) {
    List<Written> later = steps.stream().filter(step -> step.version() > version).toList();
    return !later.isEmpty() && later.get(0).version() == version + 1
        ? Optional.of(later)
        : Optional.empty();
  }
}
