package hamper.resolve;

import hamper.address.ChannelSpan;
import hamper.address.UniverseChannel;
import hamper.address.UniverseGrid;
import hamper.display.Controller;
import hamper.display.DisplaySettings;
import hamper.display.Plan;
import hamper.display.PortRef;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Turns a plan into channels and universes. A pure function; everything else that is derived rests
 * on its answer. Cost O(n log n) in sections.
 *
 * <p>Source: the addressing rules.
 */
public final class Resolver {
  /** Slots of a DMX universe, whatever the controller's universe size. */
  public static final int DMX_SLOTS = 512;

  private final List<Line> lines;
  private final List<String> domains;

  private Resolver(Plan plan) {
    List<Controller> controllers = plan.display().controllers();
    // what hangs on one controller does not depend on another, as long as nothing mirrors
    lines = IntStream.range(0, controllers.size()).parallel().mapToObj(i -> laid(plan, i)).toList();
    domains = controllers.stream().map(PacketDomain::of).toList();
  }

  public static Resolution resolve(Plan plan) {
    return new Resolver(plan).resolve(plan.display().settings());
  }

  private static Line laid(Plan plan, int index) {
    Line line = new Line(plan, index);
    Flow.lay(line);
    return line;
  }

  private Resolution resolve(DisplaySettings settings) {
    Mirrors mirrors = new Mirrors(lines);
    for (Line line : lines) {
      mirrors.layWithin(line);
      size(line);
      layDmx(line);
    }
    FirstUniverses.assign(lines, settings.firstUniverse(), settings.universeStride());
    lines.forEach(line -> mirrors.layAcross(line, domains));
    countDisplayChannels();
    List<List<Placement>> byController = lines.parallelStream().map(Resolver::placements).toList();
    List<Occupancy> occupancy = occupancy(byController);
    return new Resolution(
        lines.stream().map(Resolver::block).toList(),
        byController,
        lines.stream().flatMap(line -> line.problems.stream()).toList(),
        occupancy,
        OverlapSweep.find(occupancy));
  }

  private List<Occupancy> occupancy(List<List<Placement>> byController) {
    Map<String, List<Line>> byDomain = new LinkedHashMap<>();
    for (Line line : lines) {
      byDomain.computeIfAbsent(domains.get(line.index), key -> new ArrayList<>()).add(line);
    }
    return List.copyOf(byDomain.entrySet()).parallelStream()
        .map(domain -> Occupancy.of(domain.getKey(), domain.getValue(), byController))
        .toList();
  }

  /** The flowing part: what is used, but no less than the reserve. */
  private static void size(Line line) {
    for (List<Item> run : line.flowing) {
      for (Item item : run) {
        if (item.span != null) {
          line.usedChannels = Math.max(line.usedChannels, item.span.last());
        }
      }
    }
    switch (line.controller.protocol()) {
      case E131, ARTNET -> {
        int used =
            (line.usedChannels + line.inForce.universeSize() - 1) / line.inForce.universeSize();
        line.flowingUniverses = Math.max(used, line.controller.settings().reserveUniverses());
        line.flowingChannels = line.flowingUniverses * line.inForce.universeSize();
      }
      case DDP ->
          line.flowingChannels =
              Math.max(line.usedChannels, line.controller.settings().reserveChannels());
      case NONE -> line.flowingChannels = 0;
    }
  }

  /** Fixtures stand at their slots, in universes that follow the flowing part. */
  private static void layDmx(Line line) {
    for (int port = 0; port < line.dmx.size(); port++) {
      int before = line.flowingChannels + port * DMX_SLOTS;
      for (Item item : line.dmx.get(port)) {
        item.held = true;
        item.span = ChannelSpan.ofLength(before + item.slot, item.width);
      }
    }
  }

  private void countDisplayChannels() {
    int next = 1;
    for (Line line : lines) {
      if (line.hasBlock()) {
        line.displayStart = next;
        next = Math.addExact(next, line.channels());
      }
    }
  }

  private static List<Placement> placements(Line line) {
    List<Placement> placements = new ArrayList<>();
    Optional<UniverseGrid> grid =
        line.firstUniverse.map(first -> new UniverseGrid(first, line.inForce.universeSize()));
    for (List<Item> run : line.flowing) {
      for (Item item : run) {
        if (item.remoteStart != null) {
          placements.add(
              placement(line, item, Optional.of(item.remoteStart), Optional.of(item.remoteEnd)));
        } else if (item.span == null || grid.isEmpty()) {
          placements.add(placement(line, item, Optional.empty(), Optional.empty()));
        } else {
          placements.add(
              placement(
                  line,
                  item,
                  Optional.of(grid.get().at(item.span.start())),
                  Optional.of(grid.get().at(item.span.last()))));
        }
      }
    }
    for (int port = 0; port < line.dmx.size(); port++) {
      Optional<Integer> universe =
          line.usesUniverses() ? Optional.of(line.dmxUniverses[port]) : Optional.empty();
      for (Item item : line.dmx.get(port)) {
        placements.add(
            placement(
                line,
                item,
                universe.map(u -> new UniverseChannel(u, item.slot)),
                universe.map(u -> new UniverseChannel(u, item.slot + item.width - 1))));
      }
    }
    return List.copyOf(placements);
  }

  private static Placement placement(
      Line line, Item item, Optional<UniverseChannel> start, Optional<UniverseChannel> end) {
    return new Placement(
        line.index,
        item.port,
        item.position,
        item.leg,
        item.piece,
        item.section,
        item.pixels,
        item.addresses,
        item.channels(),
        item.held,
        item.isMirror(),
        Optional.ofNullable(item.span),
        item.span == null ? 0 : line.displayStart + item.span.start() - 1,
        start,
        end);
  }

  private static ControllerBlock block(Line line) {
    Map<PortRef, Integer> dmxUniverses = new LinkedHashMap<>();
    List<PortRef> dmxPorts = line.dmx.stream().map(run -> run.get(0).port).toList();
    for (int i = 0; i < line.dmxUniverses.length; i++) {
      dmxUniverses.put(dmxPorts.get(i), line.dmxUniverses[i]);
    }
    int universes = line.usesUniverses() ? line.flowingUniverses + line.dmx.size() : 0;
    return new ControllerBlock(
        line.controller.id(),
        line.hasBlock() ? line.channels() : 0,
        line.usedChannels,
        line.flowingChannels,
        line.flowingUniverses,
        universes,
        line.firstUniverse,
        line.displayStart,
        dmxPorts,
        dmxUniverses);
  }
}
