package hamper.resolve;

import java.util.List;

/**
 * All overlaps of a plan.
 *
 * @param pairs sorted by place; at most {@link #MOST_PAIRS}
 * @param more whether there are pairs beyond those
 * @param meetings where any two stretches of channels meet, counted only where there are more; 0
 *     else
 */
public record Overlaps(List<Overlap> pairs, boolean more, long meetings) {
  /** Beyond this many pairs a plan is so wrong that listing more helps nobody. */
  public static final int MOST_PAIRS = 5000;

  public Overlaps {
    pairs = List.copyOf(pairs);
  }
}
