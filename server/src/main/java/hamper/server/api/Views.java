package hamper.server.api;

import hamper.address.ChannelSpan;
import hamper.address.UniverseChannel;
import hamper.address.UniverseGrid;
import hamper.catalog.Banks;
import hamper.catalog.DeviceModel;
import hamper.catalog.PortGroup;
import hamper.catalog.PortKind;
import hamper.config.DeviceStart;
import hamper.config.Starts;
import hamper.display.BankCable;
import hamper.display.Brightness;
import hamper.display.Cable;
import hamper.display.Controller;
import hamper.display.HungLeg;
import hamper.display.HungRun;
import hamper.display.Leg;
import hamper.display.LegAt;
import hamper.display.Piece;
import hamper.display.PieceAt;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.Prop;
import hamper.display.SerialDimmer;
import hamper.display.SlotPiece;
import hamper.display.Tag;
import hamper.display.Wall;
import hamper.facts.ControllerFacts;
import hamper.facts.Facts;
import hamper.facts.RunFacts;
import hamper.load.DmxLine;
import hamper.load.PortLoad;
import hamper.load.Traffic;
import hamper.resolve.ControllerBlock;
import hamper.resolve.Placement;
import hamper.resolve.Resolver;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Makes views from facts. Pure functions. */
final class Views {
  private final Plan plan;
  private final Map<Tag.On, String> tags;

  private Views(Plan plan) {
    this.plan = plan;
    tags = plan.display().workshop().byThing();
  }

  static List<ControllerView> controllers(Facts facts) {
    Views views = new Views(facts.plan());
    // no controller's view depends on another's
    return facts.controllers().parallelStream().map(views::controller).toList();
  }

  /**
   * The same, with the views of controllers whose facts are the same object taken over.
   *
   * @param before other facts
   * @param views made of those
   */
  static List<ControllerView> controllers(Facts facts, Facts before, List<ControllerView> views) {
    Views fresh = new Views(facts.plan());
    return facts.controllers().parallelStream()
        .map(
            one ->
                before
                    .plan()
                    .controllers()
                    .place(one.controller().id())
                    .filter(was -> before.controllers().get(was) == one)
                    .map(views::get)
                    .orElseGet(() -> fresh.controller(one)))
        .toList();
  }

  static List<PropView> props(Facts facts) {
    Views views = new Views(facts.plan());
    return facts.plan().display().props().parallelStream().map(views::prop).toList();
  }

  private ControllerView controller(ControllerFacts facts) {
    Controller controller = facts.controller();
    DeviceModel model = facts.inForce().model();
    return new ControllerView(
        controller,
        model.title(),
        model.hostOnly(),
        model.wifi(),
        controller.protocol(),
        controller.portStart().orElse(model.dialect().portStart()),
        model.dialect().style().title(),
        block(controller, facts.block()),
        lanes(facts));
  }

  private static ControllerView.BlockView block(Controller controller, ControllerBlock block) {
    boolean any = block.flowingChannels() > 0;
    int size = controller.settings().universeSize();
    Optional<UniverseGrid> grid =
        block.firstUniverse().filter(u -> any).map(u -> new UniverseGrid(u, size));
    boolean bytes = any && !controller.protocol().usesUniverses();
    return new ControllerView.BlockView(
        block.channels(),
        block.usedChannels(),
        block.flowingChannels(),
        block.universes(),
        block.flowingUniverses(),
        size,
        block.firstUniverse(),
        block.dmxPorts().stream().map(block.dmxUniverses()::get).filter(Objects::nonNull).toList(),
        block.displayStart() > 0 ? Optional.of(block.displayStart()) : Optional.empty(),
        bytes ? Optional.of("0") : grid.map(g -> g.at(1).toString()),
        bytes
            ? Optional.of(String.valueOf(block.flowingChannels() - 1))
            : grid.map(g -> g.at(block.flowingChannels()).toString()));
  }

  /** All ports of the mode, and those beyond it that still carry something. */
  private List<LaneView> lanes(ControllerFacts facts) {
    Map<PortRef, RunFacts> runs =
        facts.runs().stream().collect(Collectors.toMap(RunFacts::port, run -> run));
    Controller controller = facts.controller();
    Starts starts = Starts.of(plan, controller, facts.block(), facts.placements());
    List<LaneView> lanes = new ArrayList<>();
    for (PortGroup group : facts.inForce().model().ports()) {
      TreeSet<Integer> ports = new TreeSet<>();
      int most = group.modeOrFirst(controller.settings().mode()).ports();
      IntStream.rangeClosed(1, most).forEach(ports::add);
      controller.runs().stream()
          .filter(run -> run.kind() == group.kind())
          .forEach(run -> ports.add(run.port()));
      for (int port : ports) {
        PortRef ref = new PortRef(controller.id(), group.kind(), port);
        lanes.add(lane(facts, starts, ref, group, Optional.ofNullable(runs.get(ref))));
      }
    }
    return lanes;
  }

  private LaneView lane(
      ControllerFacts facts, Starts starts, PortRef port, PortGroup group, Optional<RunFacts> run) {
    Controller controller = facts.controller();
    int pins = group.pins().size();
    return new LaneView(
        port,
        port.written(controller.tag()),
        port.port() <= pins ? group.pins().get(port.port() - 1) : String.valueOf(port.port()),
        plan.hasPort(port),
        group.banks().map(banks -> bank(controller, run, port, banks)),
        port.kind() == PortKind.PIXEL
            ? plan.modeOf(controller, port.kind())
                .flatMap(mode -> mode.pixelLimit(3).stream().boxed().findFirst())
            : Optional.empty(),
        group.fuseAmps(),
        Optional.ofNullable(facts.block().dmxUniverses().get(port)),
        run.flatMap(RunFacts::load).map(load -> load(controller, load, run.get().placements())),
        run.flatMap(one -> dmx(controller, one)),
        run.flatMap(RunFacts::power).map(RunPowerView::of),
        run.map(one -> legs(facts, starts, one)).orElse(List.of()));
  }

  private LoadView load(Controller controller, PortLoad load, List<Placement> placements) {
    int channels =
        placements.stream().filter(at -> !at.mirror()).mapToInt(Placement::channels).sum();
    Traffic traffic = traffic(controller, channels, controller.settings().universeSize());
    return LoadView.of(load, traffic, plan.modelOf(controller).wifi());
  }

  private Optional<DmxLoadView> dmx(Controller controller, RunFacts run) {
    Traffic traffic = traffic(controller, Resolver.DMX_SLOTS, Resolver.DMX_SLOTS);
    return DmxLine.of(run.run(), plan.display().settings().framesPerSecond())
        .map(line -> DmxLoadView.of(line, traffic, plan.modelOf(controller).wifi()));
  }

  /** Of channels of a controller, were they sent alone. */
  private Traffic traffic(Controller controller, int channels, int universeSize) {
    return controller.sending().fromStorage()
        ? Traffic.NONE
        : Traffic.of(
            controller.protocol(),
            channels,
            universeSize,
            controller.sending().fullUniverses(),
            plan.display().settings().framesPerSecond());
  }

  private static LaneView.BankView bank(
      Controller controller, Optional<RunFacts> run, PortRef port, Banks banks) {
    int bank = banks.bankOf(port.port());
    int boxes =
        Math.max(
            controller.cables().stream()
                .filter(cable -> cable.bank() == bank)
                .mapToInt(BankCable::box)
                .max()
                .orElse(1),
            run.stream()
                .flatMap(one -> one.run().legs().stream())
                .mapToInt(HungLeg::box)
                .max()
                .orElse(1));
    double metres =
        controller.cables().stream()
            .filter(cable -> cable.bank() == bank)
            .mapToDouble(BankCable::metres)
            .sum();
    return new LaneView.BankView(
        bank, banks.socketOf(port.port()), boxes, banks.mostBoxes(), metres);
  }

  private List<LegView> legs(ControllerFacts facts, Starts starts, RunFacts run) {
    Map<Integer, List<Placement>> byLeg =
        run.placements().stream().collect(Collectors.groupingBy(Placement::leg));
    return run.run().legs().stream()
        .map(leg -> leg(facts, starts, run.run(), leg, byLeg.getOrDefault(leg.index(), List.of())))
        .toList();
  }

  private LegView leg(
      ControllerFacts facts, Starts starts, HungRun run, HungLeg hung, List<Placement> placements) {
    Leg leg = hung.leg();
    PieceAt at = hung.at();
    Cable cable = run.cableTo(hung, plan);
    List<SectionView> sections =
        placements.stream()
            .map(placement -> section(facts.controller(), starts, at.piece(), placement))
            .toList();
    return new LegView(
        leg.piece(),
        at.prop().id(),
        at.title(),
        at.prop().zone(),
        hung.before(),
        leg.nullPixels(),
        cable.metres(),
        cable.origin(),
        leg.box(),
        leg.mirrorOf(),
        pixels(at.piece()),
        hung.places(),
        Brightness.outside(at.prop(), run.run(), facts.controller()),
        leg.cableGauge(),
        leg.cut(),
        leg.feeds(),
        sections);
  }

  private SectionView section(Controller controller, Starts starts, Piece piece, Placement at) {
    boolean bytes = !controller.protocol().usesUniverses();
    Optional<ChannelSpan> span = at.controllerChannels();
    Optional<Integer> display =
        at.displayStart() > 0 ? Optional.of(at.displayStart()) : Optional.empty();
    return new SectionView(
        at.section(),
        at.pixels(),
        piece instanceof PixelString string ? string.sections().get(at.section()).nullPixels() : 0,
        at.addresses(),
        at.channels(),
        at.held(),
        at.mirror(),
        span.map(ChannelSpan::start),
        span.map(ChannelSpan::last),
        display,
        display.map(start -> at.displayEnd()),
        bytes ? Optional.empty() : at.start(),
        bytes ? Optional.empty() : at.end(),
        bytes
            ? span.map(s -> String.valueOf(s.start() - 1))
            : at.start().map(UniverseChannel::toString),
        bytes
            ? span.map(s -> String.valueOf(s.last() - 1))
            : at.end().map(UniverseChannel::toString),
        Optional.of(starts.told(at)).filter(DeviceStart::says));
  }

  private PropView prop(Prop prop) {
    return new PropView(prop, prop.pieces().stream().map(piece -> piece(prop, piece)).toList());
  }

  private PropView.PieceView piece(Prop prop, Piece piece) {
    Optional<PortRef> port = plan.leg(piece.id()).map(LegAt::port);
    int nulls = piece instanceof PixelString string ? string.nullPixels() : 0;
    return new PropView.PieceView(
        piece,
        prop.titleOf(piece),
        pixels(piece),
        nulls,
        channels(piece),
        port,
        port.map(plan::written),
        Brightness.outside(prop),
        piece instanceof Wall wall ? Optional.of(WallView.of(wall)) : Optional.empty(),
        Stream.of(Tag.On.string(piece.id()), Tag.On.cable(piece.id()))
            .filter(tags::containsKey)
            .map(tags::get)
            .toList());
  }

  private static int pixels(Piece piece) {
    if (piece instanceof PixelString string) {
      return string.pixels();
    }
    return piece instanceof Wall wall ? wall.pixels() : 0;
  }

  private int channels(Piece piece) {
    if (piece instanceof PixelString string) {
      int width = plan.typeOf(string).channels();
      return string.sections().stream().mapToInt(s -> s.addresses() * width).sum();
    } else if (piece instanceof SlotPiece slotted) {
      return slotted.channels();
    } else if (piece instanceof Wall wall) {
      return wall.channels();
    }
    return piece instanceof SerialDimmer dimmer ? dimmer.circuits() : 1;
  }
}
