package hamper.resolve;

import hamper.address.UniverseChannel;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Finds who shares channels with whom: per packet domain, one sweep over intervals sorted by start.
 * Cost O(n log n + pairs).
 */
final class OverlapSweep {
  /** Room for one universe on the one line that all universes lie on. */
  private static final int PITCH = 512;

  /** What a pair of parties shares, as it adds up over universes. */
  private static final class Shared {
    int channels;
    int first = Integer.MAX_VALUE;
    int last = -1;
  }

  private record Pair(int a, int b) {}

  private final boolean universes;
  private final List<Item> items = new ArrayList<>();
  private final List<Placement> placements = new ArrayList<>();
  private final Stretches stretches = new Stretches();
  private final Map<Pair, Shared> shared = new LinkedHashMap<>();

  private OverlapSweep(boolean universes) {
    this.universes = universes;
  }

  /**
   * @param lines laid
   * @param domains the packet domain of each line
   * @param placements of each line, in the order of its items
   */
  static Overlaps find(List<Line> lines, List<String> domains, List<List<Placement>> placements) {
    Map<String, List<Line>> byDomain = new LinkedHashMap<>();
    for (Line line : lines) {
      byDomain.computeIfAbsent(domains.get(line.index), key -> new ArrayList<>()).add(line);
    }
    // no packet crosses from one domain into another
    List<OverlapSweep> swept =
        List.copyOf(byDomain.values()).parallelStream().map(own -> of(own, placements)).toList();
    List<Overlap> found =
        new ArrayList<>(
            swept.stream()
                .map(OverlapSweep::overlaps)
                .flatMap(Collection::stream)
                .limit(Overlaps.MOST_PAIRS)
                .toList());
    found.sort(Comparator.comparing(Overlap::a, PLACE).thenComparing(Overlap::b, PLACE));
    int pairs = swept.stream().mapToInt(sweep -> sweep.shared.size()).sum();
    return new Overlaps(found, pairs > Overlaps.MOST_PAIRS);
  }

  private static final Comparator<Placement> PLACE =
      Comparator.comparingInt(Placement::controller)
          .thenComparing(Placement::kind)
          .thenComparingInt(placement -> placement.port().port())
          .thenComparingInt(Placement::position);

  private static OverlapSweep of(List<Line> lines, List<List<Placement>> placements) {
    OverlapSweep sweep = new OverlapSweep(lines.get(0).usesUniverses());
    for (Line line : lines) {
      sweep.placements.addAll(placements.get(line.index));
      line.eachItem(item -> sweep.add(line, item));
    }
    sweep.sweep();
    return sweep;
  }

  private void add(Line line, Item item) {
    int party = items.size();
    items.add(item);
    Placement placement = placements.get(party);
    if (!universes) {
      placement
          .controllerChannels()
          .ifPresent(span -> stretches.add(party, span.start() - 1, span.end() - 1));
    } else if (placement.start().isPresent() && placement.end().isPresent()) {
      int size = item.slot > 0 ? Resolver.DMX_SLOTS : line.inForce.universeSize();
      addUniverses(party, placement.start().get(), placement.end().get(), size);
    }
  }

  private void addUniverses(int party, UniverseChannel start, UniverseChannel end, int size) {
    for (int u = start.universe(); u <= end.universe(); u++) {
      int first = u == start.universe() ? start.channel() : 1;
      int last = Math.min(size, u == end.universe() ? end.channel() : size);
      stretches.add(party, u * PITCH + first - 1, u * PITCH + last);
    }
  }

  /** Ends early where there are more pairs than anybody is told. */
  private void sweep() {
    int[] open = new int[16];
    int opened = 0;
    for (int stretch : stretches.byStart()) {
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
    if (items.get(a).root() == items.get(b).root()) {
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
    Placement a = placements.get(pair.a());
    Placement b = placements.get(pair.b());
    if (universes) {
      return new Overlap(
          a,
          b,
          what.channels,
          Optional.of(slot(what.first)),
          Optional.of(slot(what.last)),
          Optional.empty(),
          Optional.empty());
    }
    return new Overlap(
        a,
        b,
        what.channels,
        Optional.empty(),
        Optional.empty(),
        Optional.of(what.first),
        Optional.of(what.last));
  }

  private static UniverseChannel slot(int place) {
    return new UniverseChannel(place / PITCH, place % PITCH + 1);
  }
}
