package hamper.config;

import hamper.address.ChannelSpan;
import hamper.address.ColourOrder;
import hamper.address.Packing;
import hamper.address.UniverseChannel;
import hamper.catalog.AddressStyle;
import hamper.catalog.DeviceModel;
import hamper.catalog.Dialect;
import hamper.catalog.PortMode;
import hamper.catalog.SectionOption;
import hamper.catalog.Told;
import hamper.display.Controller;
import hamper.display.HungRun;
import hamper.display.InForce;
import hamper.display.PieceAt;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.Section;
import hamper.resolve.ControllerBlock;
import hamper.resolve.PlacedRun;
import hamper.resolve.Placement;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/**
 * Finds what a plan asks of one controller and its dialect cannot say.
 *
 * <p>Source: the device rules, "Dialects".
 */
final class UntoldFinder {
  private final Plan plan;
  private final Controller controller;
  private final DeviceModel model;
  private final Dialect dialect;
  private final InForce inForce;
  private final Inputs inputs;
  private final Starts starts;
  private final Map<SectionOption, Told> told = new EnumMap<>(SectionOption.class);
  private final List<Untold> untold = new ArrayList<>();

  /** Where a device that only counts pixels lays its next port. */
  private int nextChannel = 1;

  private UntoldFinder(
      Plan plan, Controller controller, ControllerBlock block, List<Placement> placements) {
    this.plan = plan;
    this.inForce = plan.inForce(controller);
    this.inputs = Inputs.of(plan, controller, block, placements);
    this.controller = controller;
    this.model = plan.modelOf(controller);
    this.dialect = model.dialect();
    this.starts = new Starts(controller, dialect, block, inputs);
    for (SectionOption option : SectionOption.values()) {
      told.put(option, model.told(option));
    }
  }

  /**
   * @param placements of the controller, port by port
   */
  static List<Untold> find(
      Plan plan, Controller controller, ControllerBlock block, List<Placement> placements) {
    UntoldFinder finder = new UntoldFinder(plan, controller, block, placements);
    finder.inputs.tooMany().ifPresent(finder::addOfAll);
    PlacedRun.of(plan.runsOf(controller), placements).forEach(finder::look);
    return finder.untold;
  }

  private void look(PlacedRun placed) {
    PortRef port = placed.port();
    List<Placement> placements = placed.placements();
    int ports = plan.modeOf(controller, port.kind()).map(PortMode::ports).orElse(0);
    if (port.port() > ports) {
      return; // the mode has no such port, which is another check's matter
    }
    placements.stream().filter(at -> !laidSo(at)).forEach(this::packing);
    switch (port.kind()) {
      case PIXEL -> pixels(placed.run(), placements);
      case RELAY ->
          placements.stream().filter(at -> !starts.circuitWritable(at)).forEach(this::noAddress);
      case PANEL -> walls(port, placements);
      case DMX, SERIAL -> {
        // the universe of a DMX port can always be told, and a serial port takes no levels
      }
    }
  }

  private void walls(PortRef port, List<Placement> placements) {
    placements.stream().filter(at -> !starts.writable(at)).forEach(this::noAddress);
    if (placements.size() > 1) {
      add(
          port,
          placements.get(1).piece(),
          "a second wall on one output: the device knows one matrix");
    }
  }

  private void pixels(HungRun run, List<Placement> placements) {
    portStart(run.port(), placements);
    for (int i = 0; i < placements.size(); i++) {
      Placement at = placements.get(i);
      if (starts.perSection() && !starts.writable(at)) {
        noAddress(at);
      }
      boolean opensLeg = i == 0 || placements.get(i - 1).leg() != at.leg();
      int gap = opensLeg ? run.legs().get(at.leg()).leg().nullPixels() : 0;
      section(run, at, gap, i == 0);
    }
    disagreements(run, placements);
  }

  /**
   * @param gap null pixels right before it
   * @param opensPort whether nothing stands before it on the port
   */
  private void section(HungRun run, Placement at, int gap, boolean opensPort) {
    PieceAt piece = run.legs().get(at.leg()).at();
    Section section = piece.string().sections().get(at.section());
    int nulls = section.nullPixels() + gap;
    if (nulls > 0 && cannot(SectionOption.NULL_PIXELS)) {
      noSetting(at, nulls + " null pixels");
    } else if (nulls > 0 && told.get(SectionOption.NULL_PIXELS) == Told.PER_PORT && !opensPort) {
      add(
          at.port(),
          at.piece(),
          nulls + " null pixels inside the run: the device takes them at the plug only");
    }
    if (section.group() > 1 && cannot(SectionOption.GROUP)) {
      noSetting(at, "groups of " + section.group());
    }
    if (section.fold().isPresent() && cannot(SectionOption.FOLD)) {
      noSetting(at, "a fold");
    }
    if (section.backward() && cannot(SectionOption.DIRECTION)) {
      noSetting(at, "running backward");
    }
    if (cannot(SectionOption.COLOUR_ORDER)) {
      ColourOrder order = piece.orderOf(section);
      if (!order.equals(model.usualOrder(order.channels()))) {
        noSetting(at, "colour order " + order);
      }
    }
    // the controller's own brightness is not asked of sections; a nearer one is
    boolean nearer =
        section.brightness().isPresent()
            || piece.prop().brightness().isPresent()
            || run.run().brightness().isPresent();
    if (nearer && cannot(SectionOption.BRIGHTNESS)) {
      noSetting(at, "a brightness of " + run.brightness(piece, section) + " %");
    }
  }

  /** Sections that ask for other settings than their port, which has one, can have. */
  private void disagreements(HungRun run, List<Placement> placements) {
    disagree(SectionOption.GROUP, placements, run, (at, section) -> section.group());
    disagree(
        SectionOption.FOLD,
        placements,
        run,
        (at, section) -> section.fold().map(String::valueOf).orElse("none"));
    disagree(
        SectionOption.DIRECTION,
        placements,
        run,
        (at, section) -> section.backward() ? "backward" : "forward");
    disagree(SectionOption.COLOUR_ORDER, placements, run, PieceAt::orderOf);
    disagree(SectionOption.BRIGHTNESS, placements, run, run::brightness);
  }

  private interface Asked {
    Object of(PieceAt piece, Section section);
  }

  private void disagree(
      SectionOption option, List<Placement> placements, HungRun run, Asked asked) {
    if (told.get(option) != Told.PER_PORT || placements.size() == 1) {
      return;
    }
    Function<Placement, Object> value =
        at -> {
          PieceAt piece = run.legs().get(at.leg()).at();
          return asked.of(piece, piece.string().sections().get(at.section()));
        };
    Object first = value.apply(placements.get(0));
    for (Placement at : placements) {
      Object own = value.apply(at);
      if (!own.equals(first)) {
        add(at.port(), at.piece(), "%s %s: this port has %s".formatted(option.title(), own, first));
      }
    }
  }

  /** Where the start of a whole port, if the dialect has one, does not fit the run. */
  private void portStart(PortRef port, List<Placement> placements) {
    Placement first = placements.get(0);
    switch (dialect.style()) {
      case UNIVERSE_CHANNEL_PER_SECTION, ABSOLUTE_CHANNEL, PIXEL_INDEX -> {
        // each section says where it starts
      }
      case UNIVERSE_CHANNEL_PER_PORT, DMX_SLOT -> {
        followsPorts(port, placements);
        follows(placements);
        if (!starts.slotWritable(first)) {
          noAddress(first);
        }
      }
      case UNIVERSE_PER_PORT -> {
        follows(placements);
        opensUniverse(port, first);
        if (first.start().isEmpty()) {
          noAddress(first);
        }
      }
      case PIXEL_COUNTS -> {
        followsPorts(port, placements);
        follows(placements);
      }
    }
  }

  private void opensUniverse(PortRef port, Placement first) {
    if (first.start().map(UniverseChannel::channel).orElse(1) != 1) {
      add(
          port,
          first.piece(),
          "a start at %s: a port of this device starts at channel 1 of a universe"
              .formatted(first.start().get()));
    }
  }

  /** A port that does not start where the one before it ended, if it cannot be told so. */
  private void followsPorts(PortRef port, List<Placement> placements) {
    if (!dialect.portsFollow()) {
      return;
    }
    Placement first = placements.get(0);
    int start = first.controllerChannels().map(ChannelSpan::start).orElse(0);
    // a device that takes a start for its first port begins there; others begin at their channel 1
    boolean free = nextChannel == 1 && dialect.style() != AddressStyle.PIXEL_COUNTS;
    if (start != nextChannel && !free) {
      add(
          port,
          first.piece(),
          "a start at channel %s: ports of this device follow each other, so it would start at %d"
              .formatted(start == 0 ? "elsewhere" : start, nextChannel));
    }
    nextChannel =
        placements
            .get(placements.size() - 1)
            .controllerChannels()
            .map(ChannelSpan::end)
            .orElse(nextChannel);
  }

  /** Each section which does not stand right after the one before it. */
  private void follows(List<Placement> placements) {
    for (int i = 1; i < placements.size(); i++) {
      Optional<ChannelSpan> before = placements.get(i - 1).controllerChannels();
      Placement at = placements.get(i);
      if (before.isEmpty() || at.controllerChannels().isEmpty()) {
        continue;
      }
      ChannelSpan next =
          inForce
              .packing()
              .lay(inForce.universeSize(), before.get().end(), at.addresses(), Starts.widthOf(at));
      if (next.start() != at.controllerChannels().get().start()) {
        add(
            at.port(),
            at.piece(),
            "a start of its own inside the run: sections of a port follow each other here");
      }
    }
  }

  private boolean cannot(SectionOption option) {
    return told.get(option) == Told.NOT;
  }

  private void noSetting(Placement at, String what) {
    add(at.port(), at.piece(), what + ": the device has no such setting");
  }

  private void noAddress(Placement at) {
    if (inForce.usesUniverses() && at.start().isPresent()) {
      int first = at.start().get().universe();
      int last = at.end().orElseThrow().universe();
      if (!controller.protocol().hasUniverse(first) || !controller.protocol().hasUniverse(last)) {
        return; // universes that the protocol has not are found at the controller
      } else if (starts.countsOwnChannels()) {
        noOwnChannel(at, first, last);
        return;
      }
    }
    add(at.port(), at.piece(), "its address: it cannot be written here");
  }

  private void noOwnChannel(Placement at, int first, int last) {
    if (controller.inputs().isPresent() && !inputs.hears(first, last)) {
      return; // inputs that miss something are a fault of their own
    }
    add(
        at.port(),
        at.piece(),
        first == last
            ? "its address: it cannot be written here"
            : "channels in one stretch: universes %d to %d do not follow each other in what it listens to"
                .formatted(first, last));
  }

  /** Whether the device lays something as it was planned: pixels at the end of a universe. */
  private boolean laidSo(Placement at) {
    if (!inForce.usesUniverses()
        || inForce.devicePacking() == inForce.packing()
        || !at.kind().flows()
        || at.start().isEmpty()) {
      return true;
    }
    int size = inForce.universeSize();
    UniverseChannel start = at.start().get();
    UniverseChannel end = at.end().orElseThrow();
    int last = (end.universe() - start.universe()) * size + end.channel();
    ChannelSpan own =
        inForce.devicePacking().lay(size, start.channel(), at.addresses(), Starts.widthOf(at));
    return own.start() == start.channel() && own.last() == last;
  }

  private void packing(Placement at) {
    boolean whole = inForce.devicePacking() == Packing.WHOLE_PIXEL;
    add(
        at.port(),
        at.piece(),
        whole
            ? "pixels that straddle two universes: the device begins such a pixel in the next one"
            : "whole pixels at the end of a universe: the device goes on with half a pixel there");
  }

  private void addOfAll(String what) {
    untold.add(new Untold(controller.id(), Optional.empty(), Optional.empty(), what));
  }

  private void add(PortRef port, String piece, String what) {
    untold.add(new Untold(controller.id(), Optional.of(port), Optional.of(piece), what));
  }
}
