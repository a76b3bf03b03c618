package hamper.resolve;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Finds who shares channels with whom: one sweep over the stretches of a packet domain, sorted by
 * start. Cost O(n log n + pairs).
 */
final class OverlapSweep {
  /** What a pair of parties shares, as it adds up over universes. */
  private static final class Shared {
    int channels;
    int first = Integer.MAX_VALUE;
    int last = -1;
  }

  private record Pair(int a, int b) {}

  private final Occupancy occupancy;
  private final Stretches stretches;
  private final Map<Pair, Shared> shared = new LinkedHashMap<>();

  private OverlapSweep(Occupancy occupancy) {
    this.occupancy = occupancy;
    this.stretches = occupancy.stretches();
    sweep();
  }

  /** No packet crosses from one domain into another. */
  static Overlaps find(List<Occupancy> domains) {
    List<OverlapSweep> swept = domains.parallelStream().map(OverlapSweep::new).toList();
    List<Overlap> found =
        new ArrayList<>(
            swept.stream()
                .flatMap(sweep -> sweep.overlaps().stream())
                .limit(Overlaps.MOST_PAIRS)
                .toList());
    found.sort(Comparator.comparing(Overlap::a, PLACE).thenComparing(Overlap::b, PLACE));
    int pairs = swept.stream().mapToInt(sweep -> sweep.shared.size()).sum();
    boolean more = pairs > Overlaps.MOST_PAIRS;
    return new Overlaps(
        found, more, more ? domains.stream().mapToLong(OverlapSweep::meetings).sum() : 0);
  }

  private static final Comparator<Placement> PLACE =
      Comparator.comparingInt(Placement::controller)
          .thenComparing(Placement::kind)
          .thenComparingInt(placement -> placement.port().port())
          .thenComparingInt(Placement::position);

  /** How many pairs of stretches meet: of each, those begun before that have not ended. */
  private static long meetings(Occupancy occupancy) {
    Stretches stretches = occupancy.stretches();
    int[] sorted = occupancy.sorted();
    int[] ends = new int[sorted.length];
    for (int i = 0; i < ends.length; i++) {
      ends[i] = stretches.end(sorted[i]);
    }
    Arrays.sort(ends);
    long meetings = 0;
    int ended = 0;
    for (int begun = 0; begun < sorted.length; begun++) {
      while (ended < begun && ends[ended] <= stretches.start(sorted[begun])) {
        ended++;
      }
      meetings += begun - ended;
    }
    return meetings;
  }

  /** Ends early where there are more pairs than anybody is told. */
  private void sweep() {
    int[] open = new int[16];
    int opened = 0;
    for (int stretch : occupancy.sorted()) {
      int kept = 0;
      for (int i = 0; i < opened; i++) {
        if (stretches.end(open[i]) > stretches.start(stretch)) {
          open[kept++] = open[i];
          if (!meet(open[i], stretch)) {
            return;
          }
        }
      }
      if (kept == open.length) {
        open = Arrays.copyOf(open, 2 * kept);
      }
      open[kept] = stretch;
      opened = kept + 1;
    }
  }

  /**
   * @return false where there are more pairs than anybody is told
   */
  private boolean meet(int one, int other) {
    int a = stretches.party(one);
    int b = stretches.party(other);
    if (occupancy.belong(a, b)) {
      return true; // it is itself, or shares on purpose
    }
    Shared sum =
        shared.computeIfAbsent(new Pair(Math.min(a, b), Math.max(a, b)), key -> new Shared());
    int first = Math.max(stretches.start(one), stretches.start(other));
    int end = Math.min(stretches.end(one), stretches.end(other));
    sum.channels += end - first;
    sum.first = Math.min(sum.first, first);
    sum.last = Math.max(sum.last, end - 1);
    return shared.size() <= Overlaps.MOST_PAIRS;
  }

  private List<Overlap> overlaps() {
    List<Overlap> found = new ArrayList<>();
    shared.forEach((pair, what) -> found.add(overlap(pair, what)));
    return found;
  }

  private Overlap overlap(Pair pair, Shared what) {
    return new Overlap(
        occupancy.placement(pair.a()),
        occupancy.placement(pair.b()),
        what.channels,
        occupancy.slot(what.first),
        occupancy.slot(what.last),
        occupancy.offset(what.first),
        occupancy.offset(what.last));
  }
}
