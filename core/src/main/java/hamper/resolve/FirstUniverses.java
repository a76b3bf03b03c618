package hamper.resolve;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/**
 * Gives each controller its first universe, fixed or assigned in list order, and each DMX port its
 * universe.
 *
 * <p>Source: the addressing rules, "First universes" and "DMX ports".
 */
final class FirstUniverses {
  /** Universes nobody may be assigned: start to end, included; overlapping ones are joined. */
  private final TreeMap<Integer, Integer> taken = new TreeMap<>();

  private final int stride;
  private int next;

  private FirstUniverses(int first, int stride) {
    this.next = first;
    this.stride = stride;
  }

  static void assign(List<Line> lines, int firstUniverse, int universeStride) {
    FirstUniverses universes = new FirstUniverses(firstUniverse, universeStride);
    for (Line line : lines) {
      line.dmxHeld.forEach(held -> held.ifPresent(u -> universes.take(u, u)));
      fixed(line).ifPresent(first -> universes.takeFixed(line, first));
    }
    for (Line line : lines) {
      if (line.usesUniverses() && fixed(line).isEmpty()) {
        universes.assignTo(line, firstUniverse);
      }
    }
  }

  private static Optional<Integer> fixed(Line line) {
    return line.usesUniverses() ? line.controller.settings().firstUniverse() : Optional.empty();
  }

  private void takeFixed(Line line, int first) {
    line.dmxUniverses = dmxUniverses(line, first);
    if (!line.hasBlock()) {
      return;
    }
    line.firstUniverse = Optional.of(first);
    if (line.flowingUniverses > 0) {
      take(first, first + line.flowingUniverses - 1);
    }
    for (int universe : assignedDmx(line)) {
      take(universe, universe);
    }
  }

  private void assignTo(Line line, int base) {
    boolean onlyHeldDmx =
        line.flowingUniverses == 0 && line.dmxHeld.stream().allMatch(Optional::isPresent);
    if (!line.hasBlock() || onlyHeldDmx) {
      line.dmxUniverses = dmxUniverses(line, base);
      return;
    }
    int candidate = next;
    while (true) {
      line.dmxUniverses = dmxUniverses(line, candidate);
      int blocked = lastTakenIn(candidate, candidate + line.flowingUniverses - 1);
      for (int universe : assignedDmx(line)) {
        // past the flowing part a single step is all that is safe: ports leave out held universes
        if (blocked < candidate && isTaken(universe)) {
          blocked = candidate;
        }
      }
      if (blocked < candidate) {
        break;
      }
      candidate = onStride(base, blocked + 1);
    }
    line.firstUniverse = Optional.of(candidate);
    int end = candidate + line.flowingUniverses;
    for (int universe : assignedDmx(line)) {
      end = Math.max(end, universe + 1);
    }
    next = onStride(base, end);
  }

  /** The smallest base + k × stride that is not below {@code least}. */
  private int onStride(int base, int least) {
    return base + Math.floorDiv(least - base + stride - 1, stride) * stride;
  }

  /** The universe of each DMX port: held, or the next after the flowing part. */
  private static int[] dmxUniverses(Line line, int first) {
    Set<Integer> held = new HashSet<>();
    line.dmxHeld.forEach(universe -> universe.ifPresent(held::add));
    int[] universes = new int[line.usesUniverses() ? line.dmx.size() : 0];
    int next = first + line.flowingUniverses;
    for (int i = 0; i < universes.length; i++) {
      if (line.dmxHeld.get(i).isPresent()) {
        universes[i] = line.dmxHeld.get(i).get();
        continue;
      }
      while (held.contains(next)) {
        next++;
      }
      universes[i] = next++;
    }
    return universes;
  }

  private static List<Integer> assignedDmx(Line line) {
    List<Integer> assigned = new ArrayList<>();
    for (int i = 0; i < line.dmxUniverses.length; i++) {
      if (line.dmxHeld.get(i).isEmpty()) {
        assigned.add(line.dmxUniverses[i]);
      }
    }
    return assigned;
  }

  private void take(int first, int last) {
    int start = first;
    int end = last;
    Map.Entry<Integer, Integer> before = taken.floorEntry(last + 1);
    while (before != null && before.getValue() >= start - 1) {
      start = Math.min(start, before.getKey());
      end = Math.max(end, before.getValue());
      taken.remove(before.getKey());
      before = taken.floorEntry(last + 1);
    }
    taken.put(start, end);
  }

  private boolean isTaken(int universe) {
    return lastTakenIn(universe, universe) >= universe;
  }

  /** End of the last taken stretch that touches first..last; first − 1 where none does. */
  private int lastTakenIn(int first, int last) {
    Map.Entry<Integer, Integer> stretch = last < first ? null : taken.floorEntry(last);
    return stretch != null && stretch.getValue() >= first ? stretch.getValue() : first - 1;
  }
}
