package hamper.still;

import hamper.address.ChannelSpan;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeMap;

/**
 * What is held so far on one controller, by its start: few are in anything's way, and only they are
 * looked at.
 */
final class HeldUnits {
  /** A unit where it is to be held. */
  record HeldUnit(Unit unit, int start) {
    ChannelSpan span() {
      return unit.at(start);
    }
  }

  private final TreeMap<Integer, List<HeldUnit>> byStart = new TreeMap<>();
  private int longest;

  void add(HeldUnit one) {
    byStart.computeIfAbsent(one.start(), start -> new ArrayList<>()).add(one);
    longest = Math.max(longest, one.span().length());
  }

  void removeAll(List<HeldUnit> gone) {
    gone.forEach(one -> byStart.get(one.start()).remove(one));
  }

  /** Those that share channels with a span. */
  List<HeldUnit> inTheWay(ChannelSpan of) {
    return byStart.subMap(of.start() - longest, true, of.end(), false).values().stream()
        .flatMap(List::stream)
        .filter(one -> one.span().overlaps(of))
        .toList();
  }

  List<HeldUnit> all() {
    return byStart.values().stream().flatMap(List::stream).toList();
  }

  /** The last channel that any of them takes; 0 where there is none. */
  int last() {
    return all().stream().mapToInt(one -> one.span().last()).max().orElse(0);
  }
}
