package hamper.config;

import hamper.address.UniverseChannel;
import hamper.resolve.Placement;
import java.util.List;
import java.util.OptionalInt;
import java.util.TreeMap;

/**
 * The channels of a device as it counts them itself: through the universes that it listens to, one
 * after another, or where its table puts each of them.
 *
 * <p>Source: the device rules, "Dialects".
 */
final class OwnChannels {
  /**
   * Universes that a device listens to.
   *
   * @param first as on the wire
   * @param size channels of each
   * @param start the own channel of the first one's first slot, from 1
   */
  record Heard(int first, int count, int size, int start) {
    boolean has(int universe) {
      return universe >= first && universe < first + count;
    }
  }

  private final List<Heard> heard;
  private final TreeMap<Integer, Heard> byFirst = new TreeMap<>();

  OwnChannels(List<Heard> heard) {
    this.heard = heard;
    heard.forEach(range -> byFirst.putIfAbsent(range.first(), range));
  }

  List<Heard> heard() {
    return heard;
  }

  /** The own channel of a slot on the wire; empty where the device does not hear it. */
  OptionalInt of(UniverseChannel slot) {
    var nearest = byFirst.floorEntry(slot.universe());
    if (nearest == null || slot.channel() > nearest.getValue().size()) {
      return OptionalInt.empty();
    }
    Heard range = nearest.getValue();
    int before = (slot.universe() - range.first()) * range.size();
    return range.has(slot.universe())
        ? OptionalInt.of(range.start() + before + slot.channel() - 1)
        : OptionalInt.empty();
  }

  /**
   * Where something starts that takes its channels one after another; empty where the device does
   * not hear all of it, or not in one stretch.
   *
   * @param universeSize channels of a universe as they are sent
   */
  OptionalInt startOf(Placement at, int universeSize) {
    if (at.start().isEmpty() || at.end().isEmpty()) {
      return OptionalInt.empty();
    }
    UniverseChannel start = at.start().get();
    UniverseChannel end = at.end().get();
    OptionalInt first = of(start);
    OptionalInt last = of(end);
    int length =
        (end.universe() - start.universe()) * universeSize + end.channel() - start.channel() + 1;
    boolean stretch =
        first.isPresent()
            && last.isPresent()
            && last.getAsInt() - first.getAsInt() + 1 == length
            && inOrder(start, end, universeSize);
    return stretch ? first : OptionalInt.empty();
  }

  private boolean inOrder(UniverseChannel start, UniverseChannel end, int universeSize) {
    for (int u = start.universe() + 1; u <= end.universe(); u++) {
      OptionalInt before = of(new UniverseChannel(u - 1, universeSize));
      OptionalInt next = of(new UniverseChannel(u, 1));
      if (before.isEmpty() || next.isEmpty() || next.getAsInt() != before.getAsInt() + 1) {
        return false;
      }
    }
    return true;
  }
}
