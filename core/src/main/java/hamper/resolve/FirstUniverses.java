package hamper.resolve;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Gives each controller its first universe, fixed or assigned in list order, and each DMX port its
 * universe.
 *
 * <p>Source: the addressing rules, "First universes" and "DMX ports".
 */
final class FirstUniverses {
  private final TakenUniverses taken = new TakenUniverses();
  private final int stride;
  private int next;

  private FirstUniverses(int first, int stride) {
    this.next = first;
    this.stride = stride;
  }

  static void assign(List<Line> lines, int firstUniverse, int universeStride) {
    FirstUniverses universes = new FirstUniverses(firstUniverse, universeStride);
    for (Line line : lines) {
      line.dmxHeld.forEach(held -> held.ifPresent(u -> universes.taken.take(u, u)));
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
      taken.take(first, first + line.flowingUniverses - 1);
    }
    for (int universe : assignedDmx(line)) {
      taken.take(universe, universe);
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
      int blocked = taken.lastIn(candidate, candidate + line.flowingUniverses - 1);
      for (int universe : assignedDmx(line)) {
        // past the flowing part a single step is all that is safe: ports leave out held universes
        if (blocked < candidate && taken.has(universe)) {
          blocked = candidate;
        }
      }
      if (blocked < candidate) {
        break;
      }
      candidate = TakenUniverses.onStride(base, stride, blocked + 1);
    }
    line.firstUniverse = Optional.of(candidate);
    int end = candidate + line.flowingUniverses;
    for (int universe : assignedDmx(line)) {
      end = Math.max(end, universe + 1);
    }
    next = TakenUniverses.onStride(base, stride, end);
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
}
