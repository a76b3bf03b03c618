package hamper.config;

import hamper.address.ChannelSpan;
import hamper.address.ColourOrder;
import hamper.address.Packing;
import hamper.address.UniverseChannel;
import hamper.catalog.AddressStyle;
import hamper.catalog.DeviceModel;
import hamper.catalog.Dialect;
import hamper.catalog.PortGroup;
import hamper.catalog.PortKind;
import hamper.catalog.PortMode;
import hamper.catalog.SectionOption;
import hamper.display.Controller;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.Run;
import hamper.resolve.ControllerBlock;
import hamper.resolve.Placement;
import hamper.resolve.Resolver;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Tells the outputs of one controller in its dialect, and notes what the dialect cannot say.
 *
 * <p>Source: the device rules, "Dialects".
 */
final class Outputs {
  private final Plan plan;
  private final Controller controller;
  private final DeviceModel model;
  private final Dialect dialect;
  private final ControllerBlock block;
  private final Map<PortRef, List<Placement>> byPort = new LinkedHashMap<>();
  private final List<Untold> untold = new ArrayList<>();
  private final SectionTeller sections;

  /** Where a device that only counts pixels lays its next port. */
  private int nextChannel = 1;

  Outputs(Plan plan, Controller controller, ControllerBlock block, List<Placement> placements) {
    this.plan = plan;
    this.controller = controller;
    this.block = block;
    this.model = plan.modelOf(controller);
    this.dialect = model.dialect();
    Placement before = null;
    List<Placement> here = null;
    for (Placement at : placements) {
      // they come port by port
      if (before == null || before.port() != at.port()) {
        here = byPort.computeIfAbsent(at.port(), port -> new ArrayList<>());
      }
      here.add(at);
      before = at;
    }
    sections = new SectionTeller(plan, controller, untold);
  }

  List<Untold> untold() {
    return untold;
  }

  Optional<String> mode() {
    return model
        .portsOf(PortKind.PIXEL)
        .filter(group -> group.modes().size() > 1)
        .map(group -> group.modeOrFirst(controller.settings().mode()).name());
  }

  /** All ports of the controller's mode, by kind and number. */
  List<Output> tell() {
    List<Output> outputs = new ArrayList<>();
    for (PortGroup group : model.ports()) {
      PortMode mode = group.modeOrFirst(controller.settings().mode());
      for (int port = 1; port <= mode.ports(); port++) {
        outputs.add(tell(new PortRef(controller.id(), group.kind(), port), group));
      }
    }
    return outputs;
  }

  private Output tell(PortRef port, PortGroup group) {
    String label =
        group.pins().isEmpty() ? String.valueOf(port.port()) : group.pins().get(port.port() - 1);
    List<Placement> placements = byPort.getOrDefault(port, List.of());
    if (placements.isEmpty()) {
      return Output.unused(port.kind(), port.port(), label);
    }
    return switch (port.kind()) {
      case PIXEL -> pixels(port, label, placements);
      case DMX -> dmx(port, label, placements);
      case RELAY -> circuits(port, label, placements);
      case PANEL -> wall(port, label, placements);
      case SERIAL -> Output.unused(port.kind(), port.port(), label);
    };
  }

  private Output pixels(PortRef port, String label, List<Placement> placements) {
    Run run = controller.run(port.kind(), port.port()).orElseThrow();
    DeviceStart start = portStart(port, placements);
    List<OutputSection> told = new ArrayList<>();
    for (int i = 0; i < placements.size(); i++) {
      Placement at = placements.get(i);
      boolean opensLeg = i == 0 || placements.get(i - 1).leg() != at.leg();
      DeviceStart own =
          perSection()
              ? sectionStart(at).orElseGet(() -> cannot(at, "its address"))
              : DeviceStart.NONE;
      told.add(sections.tell(run, at, opensLeg, i == 0, own));
    }
    sections.noteDisagreement(placements);
    PixelString first = sections.stringOf(placements.get(0));
    Optional<ColourOrder> order =
        sections.onePerPort(placements, SectionOption.COLOUR_ORDER, at -> sections.order(at));
    Optional<Integer> brightness =
        sections.onePerPort(
            placements, SectionOption.BRIGHTNESS, at -> sections.brightness(run, at));
    return new Output(
        port.kind(),
        port.port(),
        label,
        true,
        start,
        told.stream().mapToInt(s -> s.pixels() + s.nullPixels().orElse(0)).sum(),
        Optional.of(plan.typeOf(first).chip()),
        order,
        brightness,
        told);
  }

  private boolean perSection() {
    return dialect.style() == AddressStyle.UNIVERSE_CHANNEL_PER_SECTION
        || dialect.style() == AddressStyle.ABSOLUTE_CHANNEL
        || dialect.style() == AddressStyle.PIXEL_INDEX;
  }

  /** The start of a whole port, where the dialect has one; notes where the run does not fit it. */
  private DeviceStart portStart(PortRef port, List<Placement> placements) {
    Placement first = placements.get(0);
    return switch (dialect.style()) {
      case UNIVERSE_CHANNEL_PER_SECTION, ABSOLUTE_CHANNEL, PIXEL_INDEX -> DeviceStart.NONE;
      case UNIVERSE_CHANNEL_PER_PORT, DMX_SLOT -> {
        followsPorts(port, placements);
        follows(placements);
        yield slotStart(first).orElseGet(() -> cannot(first, "its address"));
      }
      case UNIVERSE_PER_PORT -> {
        follows(placements);
        opensUniverse(port, first);
        yield first
            .start()
            .map(slot -> DeviceStart.universe(written(slot.universe())))
            .orElseGet(() -> cannot(first, "its address"));
      }
      case PIXEL_COUNTS -> {
        followsPorts(port, placements);
        follows(placements);
        yield DeviceStart.NONE;
      }
    };
  }

  private void opensUniverse(PortRef port, Placement first) {
    if (first.start().map(UniverseChannel::channel).orElse(1) != 1) {
      untold.add(
          new Untold(
              port,
              Optional.of(first.piece()),
              "a start at %s: a port of this device starts at channel 1 of a universe"
                  .formatted(first.start().get())));
    }
  }

  /** Notes a port that does not start where the one before it ended, if it cannot be told so. */
  private void followsPorts(PortRef port, List<Placement> placements) {
    if (!dialect.portsFollow()) {
      return;
    }
    Placement first = placements.get(0);
    int start = first.controllerChannels().map(ChannelSpan::start).orElse(0);
    // a device that takes a start for its first port begins there; others begin at their channel 1
    boolean free = nextChannel == 1 && dialect.style() != AddressStyle.PIXEL_COUNTS;
    if (start != nextChannel && !free) {
      untold.add(
          new Untold(
              port,
              Optional.of(first.piece()),
              "a start at channel %s: ports of this device follow each other, so it would start at %d"
                  .formatted(start == 0 ? "elsewhere" : start, nextChannel)));
    }
    nextChannel =
        placements
            .get(placements.size() - 1)
            .controllerChannels()
            .map(ChannelSpan::end)
            .orElse(nextChannel);
  }

  /** Notes each section which does not stand right after the one before it. */
  private void follows(List<Placement> placements) {
    Packing packing = controller.packing().orElse(dialect.packing());
    int size = controller.protocol().usesUniverses() ? controller.settings().universeSize() : 0;
    for (int i = 1; i < placements.size(); i++) {
      Placement before = placements.get(i - 1);
      Placement at = placements.get(i);
      if (before.controllerChannels().isEmpty() || at.controllerChannels().isEmpty()) {
        continue;
      }
      int width = at.channels() / Math.max(1, at.addresses());
      ChannelSpan next =
          packing.lay(size, before.controllerChannels().get().end(), at.addresses(), width);
      if (next.start() != at.controllerChannels().get().start()) {
        untold.add(
            new Untold(
                at.port(),
                Optional.of(at.piece()),
                "a start of its own inside the run: sections of a port follow each other here"));
      }
    }
  }

  /** The start of a section or circuit, as the dialect writes it. */
  private Optional<DeviceStart> sectionStart(Placement at) {
    return switch (dialect.style()) {
      case ABSOLUTE_CHANNEL, PIXEL_COUNTS ->
          at.controllerChannels().map(span -> DeviceStart.absolute(span.start()));
      case PIXEL_INDEX -> pixelIndex(at);
      case UNIVERSE_CHANNEL_PER_SECTION, UNIVERSE_CHANNEL_PER_PORT, UNIVERSE_PER_PORT, DMX_SLOT ->
          slotStart(at);
    };
  }

  /** Universe and channel; on DDP, which has none, the channel in the controller's own block. */
  private Optional<DeviceStart> slotStart(Placement at) {
    return controller.protocol().usesUniverses()
        ? at.start()
            .map(slot -> DeviceStart.universeChannel(written(slot.universe()), slot.channel()))
        : at.controllerChannels().map(span -> DeviceStart.absolute(span.start()));
  }

  private Optional<DeviceStart> pixelIndex(Placement at) {
    int width = at.channels() / Math.max(1, at.addresses());
    return at.controllerChannels()
        .filter(span -> (span.start() - 1) % width == 0)
        .map(span -> DeviceStart.pixelIndex((span.start() - 1) / width));
  }

  private DeviceStart cannot(Placement at, String what) {
    untold.add(
        new Untold(at.port(), Optional.of(at.piece()), what + ": it cannot be written here"));
    return DeviceStart.NONE;
  }

  private Output circuits(PortRef port, String label, List<Placement> placements) {
    List<OutputSection> told = new ArrayList<>();
    for (Placement at : placements) {
      DeviceStart start = circuitStart(at).orElseGet(() -> cannot(at, "its address"));
      told.add(sections.circuit(at, start));
    }
    return plain(port, label, DeviceStart.NONE, told);
  }

  /** One matrix: its start, and how its pixels follow each other. */
  private Output wall(PortRef port, String label, List<Placement> placements) {
    List<OutputSection> told = new ArrayList<>();
    for (Placement at : placements) {
      DeviceStart start = sectionStart(at).orElseGet(() -> cannot(at, "its address"));
      told.add(sections.surface(at, start));
    }
    if (placements.size() > 1) {
      untold.add(
          new Untold(
              port,
              Optional.of(placements.get(1).piece()),
              "a second wall on one output: the device knows one matrix"));
    }
    return plain(port, label, DeviceStart.NONE, told);
  }

  /** A circuit is one channel, which no pixel index names: it is told by channel there. */
  private Optional<DeviceStart> circuitStart(Placement at) {
    return dialect.style() == AddressStyle.PIXEL_INDEX
        ? at.controllerChannels().map(span -> DeviceStart.absolute(span.start()))
        : sectionStart(at);
  }

  private Output dmx(PortRef port, String label, List<Placement> placements) {
    DeviceStart start =
        Optional.ofNullable(block.dmxUniverses().get(port))
            .map(universe -> DeviceStart.universe(written(universe)))
            .orElseGet(
                () ->
                    DeviceStart.absolute(
                        block.flowingChannels()
                            + block.dmxPorts().indexOf(port) * Resolver.DMX_SLOTS
                            + 1));
    return plain(port, label, start, placements.stream().map(sections::fixture).toList());
  }

  private static Output plain(
      PortRef port, String label, DeviceStart start, List<OutputSection> told) {
    return new Output(
        port.kind(),
        port.port(),
        label,
        true,
        start,
        0,
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        told);
  }

  private int written(int universe) {
    return dialect.written(controller.protocol(), universe);
  }
}
