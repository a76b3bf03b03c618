package hamper.resolve;

import hamper.address.UniverseChannel;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Who stands where in the packets of one domain: in which slots of which universe, or, on DDP, in
 * which bytes. Made of plain arrays, sorted: there are as many stretches as sections, and more.
 */
public final class Occupancy {
  /** Room for one universe on the one line that all universes lie on. */
  private static final int PITCH = 512;

  /**
   * A stretch of one party.
   *
   * @param first slot, from 1; on DDP byte, from 0
   * @param last included
   */
  public record Span(Placement placement, int first, int last) {}

  private final String domain;
  private final List<Integer> controllers;
  private final boolean universes;
  private final List<Placement> placements;

  /** Of each placement: the place of what it is, or mirrors; sharing with that is on purpose. */
  private final int[] roots;

  private final Stretches stretches;
  private final int[] sorted;

  private Occupancy(
      String domain,
      List<Integer> controllers,
      boolean universes,
      List<Placement> placements,
      int[] roots,
      Stretches stretches) {
    this.domain = domain;
    this.controllers = controllers;
    this.universes = universes;
    this.placements = placements;
    this.roots = roots;
    this.stretches = stretches;
    this.sorted = stretches.byStart();
  }

  /**
   * @param lines of one packet domain, laid
   * @param byController the placements of every line of the plan, in the order of its items
   */
  static Occupancy of(String domain, List<Line> lines, List<List<Placement>> byController) {
    boolean universes = lines.get(0).usesUniverses();
    List<Item> items = new ArrayList<>();
    List<Placement> placements = new ArrayList<>();
    Stretches stretches = new Stretches();
    for (Line line : lines) {
      placements.addAll(byController.get(line.index));
      line.eachItem(
          item -> {
            int party = items.size();
            items.add(item);
            int size = item.slot > 0 ? Resolver.DMX_SLOTS : line.inForce.universeSize();
            add(stretches, universes, party, placements.get(party), size);
          });
    }
    return new Occupancy(
        domain,
        lines.stream().map(line -> line.index).toList(),
        universes,
        placements,
        roots(items),
        stretches);
  }

  private static int[] roots(List<Item> items) {
    int[] roots = new int[items.size()];
    for (int i = 0; i < roots.length; i++) {
      items.get(i).party = i;
    }
    for (int i = 0; i < roots.length; i++) {
      Item root = items.get(i).root();
      // what other packets reach is numbered elsewhere
      boolean here = root.party < roots.length && items.get(root.party) == root;
      roots[i] = here ? root.party : i;
    }
    return roots;
  }

  private static void add(
      Stretches stretches, boolean universes, int party, Placement at, int size) {
    if (!universes) {
      at.controllerChannels()
          .ifPresent(span -> stretches.add(party, span.start() - 1, span.end() - 1));
      return;
    }
    if (at.start().isEmpty() || at.end().isEmpty()) {
      return;
    }
    UniverseChannel start = at.start().get();
    UniverseChannel end = at.end().get();
    for (int u = start.universe(); u <= end.universe(); u++) {
      int first = u == start.universe() ? start.channel() : 1;
      int last = Math.min(size, u == end.universe() ? end.channel() : size);
      stretches.add(party, u * PITCH + first - 1, u * PITCH + last);
    }
  }

  /** As {@link PacketDomain} tells it. */
  public String domain() {
    return domain;
  }

  /** Places in the list of the controllers that these packets reach, in order. */
  public List<Integer> controllers() {
    return controllers;
  }

  /** Whether places are slots of universes, and not bytes. */
  public boolean hasUniverses() {
    return universes;
  }

  /** Universes that anything stands in, once each, in order; empty on DDP. */
  public IntStream universes() {
    return universes
        ? IntStream.of(sorted).map(stretch -> stretches.start(stretch) / PITCH).distinct()
        : IntStream.empty();
  }

  /** Universes in which several controllers stand, mirrors included; in order, empty on DDP. */
  public int[] sharedUniverses() {
    IntStream.Builder shared = IntStream.builder();
    int last = -1;
    int first = -1;
    boolean told = false;
    for (int i = 0; universes && i < sorted.length; i++) {
      int universe = stretches.start(sorted[i]) / PITCH;
      int controller = placements.get(stretches.party(sorted[i])).controller();
      if (universe != last) {
        last = universe;
        first = controller;
        told = false;
      } else if (controller != first && !told) {
        shared.add(universe);
        told = true;
      }
    }
    return shared.build().toArray();
  }

  /** Who stands in which bytes, by the first of them; empty where there are universes. */
  public List<Span> inBytes() {
    List<Span> spans = new ArrayList<>();
    for (int i = 0; !universes && i < sorted.length; i++) {
      int stretch = sorted[i];
      spans.add(
          new Span(
              placements.get(stretches.party(stretch)),
              stretches.start(stretch),
              stretches.end(stretch) - 1));
    }
    return spans;
  }

  /** Who stands in a universe, by first slot. */
  public List<Span> in(int universe) {
    List<Span> spans = new ArrayList<>();
    for (int i = firstFrom(universe * PITCH); i < sorted.length; i++) {
      int stretch = sorted[i];
      if (!universes || stretches.start(stretch) >= (universe + 1) * PITCH) {
        break;
      }
      int before = universe * PITCH;
      spans.add(
          new Span(
              placements.get(stretches.party(stretch)),
              stretches.start(stretch) - before + 1,
              stretches.end(stretch) - before));
    }
    return spans;
  }

  /** Where in the sorted stretches those begin that start at a place or after it. */
  private int firstFrom(int place) {
    int low = 0;
    int high = sorted.length;
    while (low < high) {
      int middle = (low + high) >>> 1;
      if (stretches.start(sorted[middle]) < place) {
        low = middle + 1;
      } else {
        high = middle;
      }
    }
    return low;
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof Occupancy that
        && domain.equals(that.domain)
        && placements.equals(that.placements)
        && Arrays.equals(roots, that.roots);
  }

  @Override
  public int hashCode() {
    return placements.hashCode();
  }

  Placement placement(int party) {
    return placements.get(party);
  }

  /** Whether two parties share their channels on purpose, or are one. */
  boolean belong(int a, int b) {
    return roots[a] == roots[b];
  }

  Stretches stretches() {
    return stretches;
  }

  /** Numbers of the stretches, by start. */
  int[] sorted() {
    return sorted;
  }

  /** The slot of a place on the line; none on DDP. */
  Optional<UniverseChannel> slot(int place) {
    return universes
        ? Optional.of(new UniverseChannel(place / PITCH, place % PITCH + 1))
        : Optional.empty();
  }

  /** The byte of a place on the line; none where there are universes. */
  Optional<Integer> offset(int place) {
    return universes ? Optional.empty() : Optional.of(place);
  }
}
