package hamper.resolve;

import hamper.address.UniverseChannel;
import java.util.ArrayList;
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
  private static final long PITCH = 512;

  /** An item's stretch within one universe, or within the block on DDP; end excluded. */
  private record Stretch(int party, long start, long end) {}

  /** What a pair of parties shares, as it adds up over universes. */
  private static final class Shared {
    int channels;
    long first = Long.MAX_VALUE;
    long last = -1;
  }

  private record Pair(int a, int b) {}

  private final List<Item> items = new ArrayList<>();
  private final List<Placement> placements = new ArrayList<>();
  private final Map<String, List<Stretch>> byDomain = new LinkedHashMap<>();
  private final Map<String, Boolean> domainHasUniverses = new LinkedHashMap<>();

  /** Adds one laid item; items come in the order in which pairs are to be told. */
  void add(Line line, String domain, Item item, Placement placement) {
    int party = items.size();
    items.add(item);
    placements.add(placement);
    List<Stretch> stretches = byDomain.computeIfAbsent(domain, key -> new ArrayList<>());
    domainHasUniverses.put(domain, line.usesUniverses());
    if (!line.usesUniverses()) {
      placement
          .controllerChannels()
          .ifPresent(span -> stretches.add(new Stretch(party, span.start() - 1L, span.end() - 1L)));
    } else if (placement.start().isPresent() && placement.end().isPresent()) {
      int size = item.slot > 0 ? Resolver.DMX_SLOTS : line.universeSize;
      addUniverses(stretches, party, placement.start().get(), placement.end().get(), size);
    }
  }

  private static void addUniverses(
      List<Stretch> out, int party, UniverseChannel start, UniverseChannel end, int size) {
    for (int u = start.universe(); u <= end.universe(); u++) {
      int first = u == start.universe() ? start.channel() : 1;
      int last = Math.min(size, u == end.universe() ? end.channel() : size);
      out.add(new Stretch(party, u * PITCH + first - 1, u * PITCH + last));
    }
  }

  Overlaps find() {
    List<Overlap> found = new ArrayList<>();
    boolean more = false;
    for (Map.Entry<String, List<Stretch>> domain : byDomain.entrySet()) {
      Map<Pair, Shared> shared = new LinkedHashMap<>();
      more |= !sweep(domain.getValue(), shared, Overlaps.MOST_PAIRS - found.size());
      boolean universes = domainHasUniverses.get(domain.getKey());
      shared.forEach((pair, what) -> found.add(overlap(pair, what, universes)));
    }
    found.sort(Comparator.comparing(Overlap::a, PLACE).thenComparing(Overlap::b, PLACE));
    return new Overlaps(found, more);
  }

  private static final Comparator<Placement> PLACE =
      Comparator.comparingInt(Placement::controller)
          .thenComparing(Placement::kind)
          .thenComparingInt(placement -> placement.port().port())
          .thenComparingInt(Placement::position);

  /**
   * @return false where pairs were left out because there were more than {@code most}
   */
  private boolean sweep(List<Stretch> stretches, Map<Pair, Shared> shared, int most) {
    List<Stretch> sorted = new ArrayList<>(stretches);
    sorted.sort(Comparator.comparingLong(Stretch::start));
    List<Stretch> open = new ArrayList<>();
    for (Stretch stretch : sorted) {
      open.removeIf(other -> other.end() <= stretch.start());
      for (Stretch other : open) {
        if (other.party() == stretch.party() || onPurpose(other, stretch)) {
          continue;
        }
        Pair pair =
            new Pair(
                Math.min(other.party(), stretch.party()), Math.max(other.party(), stretch.party()));
        if (shared.size() >= most && !shared.containsKey(pair)) {
          return false;
        }
        add(shared.computeIfAbsent(pair, key -> new Shared()), other, stretch);
      }
      open.add(stretch);
    }
    return true;
  }

  private boolean onPurpose(Stretch one, Stretch other) {
    return items.get(one.party()).root() == items.get(other.party()).root();
  }

  private static void add(Shared sum, Stretch one, Stretch other) {
    long first = Math.max(one.start(), other.start());
    long end = Math.min(one.end(), other.end());
    sum.channels += (int) (end - first);
    sum.first = Math.min(sum.first, first);
    sum.last = Math.max(sum.last, end - 1);
  }

  private Overlap overlap(Pair pair, Shared what, boolean universes) {
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
        Optional.of((int) what.first),
        Optional.of((int) what.last));
  }

  private static UniverseChannel slot(long place) {
    return new UniverseChannel((int) (place / PITCH), (int) (place % PITCH) + 1);
  }
}
