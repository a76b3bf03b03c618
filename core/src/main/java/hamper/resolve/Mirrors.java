package hamper.resolve;

import hamper.address.ChannelSpan;
import hamper.address.StartsPer;
import hamper.address.UniverseGrid;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Lays mirrors: section i from the start of section i of its original. They move and reserve
 * nothing.
 */
final class Mirrors {
  /** An original's sections by number, and the line that they stand on. */
  private record Original(Line line, Map<Integer, Item> sections) {}

  private final Map<String, Original> originals = new HashMap<>();

  /** Knows every piece that somebody mirrors. */
  Mirrors(List<Line> lines) {
    for (Line line : lines) {
      if (line.mirrors) {
        line.eachItem(item -> item.mirrorOf.ifPresent(id -> originals.put(id, null)));
      }
    }
    for (Line line : originals.isEmpty() ? List.<Line>of() : lines) {
      line.eachItem(item -> note(line, item));
    }
  }

  private void note(Line line, Item item) {
    if (originals.containsKey(item.piece)) {
      originals
          .computeIfAbsent(item.piece, id -> new Original(line, new HashMap<>()))
          .sections()
          .put(item.section, item);
    }
  }

  /** Mirrors within a controller; they may lengthen what it uses. */
  void layWithin(Line line) {
    if (!line.mirrors) {
      return;
    }
    for (List<Item> run : line.flowing) {
      reportPartOfPort(line, run);
      int next = 0;
      for (Item item : run) {
        if (item.isMirror()) {
          next = layWithin(line, item, next);
        }
      }
    }
    for (List<Item> run : line.dmx) {
      run.stream().filter(Item::isMirror).forEach(item -> atSlots(line, item));
    }
  }

  /**
   * @return where the next section of the mirror would follow
   */
  private int layWithin(Line line, Item item, int following) {
    Original original = originals.get(item.mirrorOf.orElseThrow());
    if (original == null) {
      line.report(LayoutProblem.Kind.MIRROR_WITHOUT_ORIGINAL, item);
      return following;
    }
    if (standsAtSlots(original)) {
      line.report(LayoutProblem.Kind.MIRROR_OF_SLOTS, item);
      return following;
    }
    find(item);
    if (original.line() != line) {
      return following;
    }
    int from = following;
    if (item.original != null && item.original.span != null) {
      from = item.original.span.start();
    } else if (item.original == null) {
      line.report(LayoutProblem.Kind.MIRROR_LONGER, item);
    }
    if (from > 0) {
      item.span =
          line.inForce.packing().lay(line.inForce.universeSize(), from, item.addresses, item.width);
      return item.span.end();
    }
    return following;
  }

  /** Mirrors of another controller, once every universe is known. */
  void layAcross(Line line, List<String> domains) {
    if (!line.mirrors) {
      return;
    }
    for (List<Item> run : line.flowing) {
      for (Item item : run) {
        Original original = item.mirrorOf.map(originals::get).orElse(null);
        if (original != null && original.line() != line && !standsAtSlots(original)) {
          layAcross(line, item, original.line(), domains);
        }
      }
    }
  }

  private void layAcross(Line line, Item item, Line home, List<String> domains) {
    boolean reached =
        line.usesUniverses()
            && line.inForce.universeSize() == home.inForce.universeSize()
            && domains.get(line.index).equals(domains.get(home.index));
    if (!reached || home.firstUniverse.isEmpty()) {
      item.original = null;
      line.report(LayoutProblem.Kind.MIRROR_OUT_OF_REACH, item);
      return;
    }
    if (item.original == null || item.original.span == null) {
      line.report(LayoutProblem.Kind.MIRROR_LONGER, item);
      return;
    }
    ChannelSpan span =
        line.inForce
            .packing()
            .lay(
                line.inForce.universeSize(),
                item.original.span.start(),
                item.addresses,
                item.width);
    UniverseGrid grid = new UniverseGrid(home.firstUniverse.get(), home.inForce.universeSize());
    item.remoteStart = grid.at(span.start());
    item.remoteEnd = grid.at(span.last());
  }

  private static boolean standsAtSlots(Original original) {
    return original.sections().values().stream().anyMatch(item -> item.slot > 0);
  }

  /** A fixture answers to the slots it is set to, whatever it is said to mirror. */
  private void atSlots(Line line, Item item) {
    find(item);
    boolean same =
        item.original != null
            && item.original.slot == item.slot
            && item.original.port.equals(item.port);
    if (!same) {
      line.report(LayoutProblem.Kind.MIRROR_AT_SLOTS, item);
    }
  }

  private void find(Item item) {
    Original original = originals.get(item.mirrorOf.orElseThrow());
    if (original != null) {
      item.original = original.sections().get(item.section);
    }
  }

  private void reportPartOfPort(Line line, List<Item> run) {
    boolean some = run.stream().anyMatch(Item::isMirror);
    boolean all = run.stream().allMatch(Item::isMirror);
    if (line.inForce.startsPer() == StartsPer.PORT && some && !all) {
      run.stream()
          .filter(Item::isMirror)
          .findFirst()
          .ifPresent(item -> line.report(LayoutProblem.Kind.MIRROR_PART_OF_PORT, item));
    }
  }
}
