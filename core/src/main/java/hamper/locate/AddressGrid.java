package hamper.locate;

import hamper.address.UniverseChannel;
import hamper.display.Controller;
import hamper.facts.Facts;
import hamper.load.Traffic;
import hamper.resolve.AddressSlots;
import hamper.resolve.ControllerBlock;
import hamper.resolve.Occupancy;
import hamper.resolve.Overlap;
import hamper.resolve.Placement;
import hamper.resolve.Resolver;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/**
 * Every universe, and every packet of DDP bytes, as a row of slots with who stands in them. What is
 * kept free has rows too.
 *
 * @param rows domain by domain, in the order in which packets are counted
 */
public record AddressGrid(List<Row> rows) {
  /**
   * One universe, or one packet of bytes.
   *
   * @param domain whose packets these are, as {@link Occupancy#domain()} tells it
   * @param controller the place in the list of the first controller that has it
   * @param number the universe; on DDP the packet, from 0
   * @param size slots, from 1
   * @param firstByte on DDP the byte of the first slot, from 0; 0 else
   * @param stretches by first slot
   */
  public record Row(
      String domain, int controller, int number, int size, int firstByte, List<Stretch> stretches) {
    public Row {
      stretches = List.copyOf(stretches);
    }
  }

  /**
   * @param first slot of the row, from 1
   * @param last included
   * @param overlaps whether somebody else answers to some of it, not on purpose
   * @param cut whether the row ends within one of its pixels
   */
  public record Stretch(Placement at, int first, int last, boolean overlaps, boolean cut) {}

  public AddressGrid {
    rows = List.copyOf(rows);
  }

  public static AddressGrid of(Facts facts) {
    Maker maker = new Maker(facts);
    facts.resolution().occupancy().forEach(maker::add);
    return new AddressGrid(maker.rows);
  }

  private static final class Maker {
    private final Facts facts;
    private final List<Row> rows = new ArrayList<>();
    private final Set<Placement> overlapping = new HashSet<>();
    private final Map<Placement, Optional<AddressSlots>> slots = new IdentityHashMap<>();

    Maker(Facts facts) {
      this.facts = facts;
      for (Overlap overlap : facts.resolution().overlaps().pairs()) {
        overlapping.add(overlap.a());
        overlapping.add(overlap.b());
      }
    }

    void add(Occupancy occupancy) {
      if (occupancy.hasUniverses()) {
        addUniverses(occupancy);
      } else {
        addBytes(occupancy);
      }
    }

    /** Universes that anything stands in, and those that are kept for somebody. */
    private void addUniverses(Occupancy occupancy) {
      TreeMap<Integer, Integer> owners = new TreeMap<>();
      Set<Integer> lines = new HashSet<>();
      for (int index : occupancy.controllers()) {
        ControllerBlock block = facts.resolution().blocks().get(index);
        block
            .firstUniverse()
            .ifPresent(
                first -> {
                  for (int i = 0; i < block.flowingUniverses(); i++) {
                    owners.merge(first + i, index, Math::min);
                  }
                });
        block
            .dmxUniverses()
            .values()
            .forEach(
                universe -> {
                  owners.merge(universe, index, Math::min);
                  lines.add(universe);
                });
      }
      occupancy
          .universes()
          .forEach(
              universe ->
                  owners.computeIfAbsent(
                      universe, none -> occupancy.in(universe).get(0).placement().controller()));
      owners.forEach(
          (universe, owner) -> {
            Controller controller = facts.plan().display().controllers().get(owner);
            int size =
                lines.contains(universe)
                    ? Resolver.DMX_SLOTS
                    : controller.settings().universeSize();
            List<Stretch> stretches = new ArrayList<>();
            for (Occupancy.Span span : occupancy.in(universe)) {
              stretches.add(
                  stretch(span, span.first(), span.last(), new UniverseChannel(universe, size)));
            }
            rows.add(new Row(occupancy.domain(), owner, universe, size, 0, stretches));
          });
    }

    /** Packets of a controller on DDP: each as many bytes as go into one. */
    private void addBytes(Occupancy occupancy) {
      int owner = occupancy.controllers().get(0);
      int bytes = facts.resolution().blocks().get(owner).channels();
      int size = Traffic.DDP_BYTES;
      List<List<Stretch>> packets = new ArrayList<>();
      for (int from = 0; from < bytes; from += size) {
        packets.add(new ArrayList<>());
      }
      for (Occupancy.Span span : occupancy.inBytes()) {
        for (int packet = span.first() / size; packet * size <= span.last(); packet++) {
          int before = packet * size;
          int end = Math.min(before + size, bytes);
          packets
              .get(packet)
              .add(
                  stretch(
                      span,
                      Math.max(1, span.first() - before + 1),
                      Math.min(size, span.last() - before + 1),
                      new UniverseChannel(0, end)));
        }
      }
      for (int packet = 0; packet < packets.size(); packet++) {
        int before = packet * size;
        rows.add(
            new Row(
                occupancy.domain(),
                owner,
                packet,
                Math.min(size, bytes - before),
                before,
                packets.get(packet)));
      }
    }

    private Stretch stretch(Occupancy.Span span, int first, int last, UniverseChannel end) {
      Placement at = span.placement();
      boolean cut =
          slots
              .computeIfAbsent(at, one -> AddressSlots.of(facts.plan(), one))
              .flatMap(
                  all ->
                      all.channelIn(end).map(channel -> channel % all.width() != all.width() - 1))
              .orElse(false);
      return new Stretch(at, first, last, overlapping.contains(at), cut);
    }
  }
}
