package hamper.display;

import hamper.address.IpAddress;
import hamper.address.Protocol;
import hamper.catalog.Catalog;
import hamper.catalog.DeviceModel;
import hamper.catalog.PixelType;
import hamper.catalog.PortGroup;
import hamper.catalog.PortKind;
import hamper.catalog.PortMode;
import hamper.value.Listed;
import hamper.value.RefusedException;
import hamper.value.Require;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;

/**
 * A display together with the catalogue that it is planned from: every model, pixel type and port
 * it names exists. Everything derived starts from here. Immutable.
 */
public final class Plan {
  private final Display display;
  private final Catalog shipped;
  private final Catalog catalog;
  private final Map<String, PieceAt> pieces = new HashMap<>();
  private final List<PieceAt> walls = new ArrayList<>();
  private final Map<String, LegAt> legs = new HashMap<>();
  private final Listed<Controller> controllers;
  private final Listed<Prop> props;
  private final Listed<Zone> zones;
  private final Listed<Subnet> subnets;
  private final Listed<Supply> supplies;
  private final Listed<MainsCircuit> mains;
  private final Listed<Enclosure> enclosures;
  private final Listed<Link> links;

  /** The runs of each controller, in list order. */
  private final List<List<HungRun>> runs = new ArrayList<>();

  /**
   * @param shipped the catalogue without the display's own models
   * @throws RefusedException with the place of the first thing that cannot be
   */
  public Plan(Display display, Catalog shipped) {
    this.display = display;
    this.shipped = shipped;
    this.catalog = shipped.with(display.models(), display.pixelTypes());
    controllers = new Listed<>("controller", display.controllers());
    props = new Listed<>("prop", display.props());
    zones = new Listed<>("zone", display.zones());
    subnets = new Listed<>("subnet", display.subnets());
    supplies = new Listed<>("supply", display.power().supplies());
    mains = new Listed<>("mains circuit", display.power().mains());
    enclosures = new Listed<>("enclosure", display.enclosures());
    links = new Listed<>("link", display.links());
    indexPieces();
    for (int i = 0; i < display.controllers().size(); i++) {
      Controller controller = display.controllers().get(i);
      checkController(controller, "controllers[%d]".formatted(i));
    }
    DisplaySize.check(display.controllers(), runs);
  }

  public Display display() {
    return display;
  }

  /** What ships with Hamper and what the display brings along. */
  public Catalog catalog() {
    return catalog;
  }

  /** The same catalogue, another display. */
  public Plan with(Display changed) {
    return new Plan(changed, shipped);
  }

  public Optional<PieceAt> piece(String id) {
    return Optional.ofNullable(pieces.get(id));
  }

  /** A piece that must be there: legs and edits name it. */
  public PieceAt existingPiece(String id) {
    return piece(id)
        .orElseThrow(
            () ->
                new RefusedException(
                    "piece", Require.quoted(id), "no piece of this display has this id"));
  }

  /** All walls, hung or not, in the order of props. */
  public List<PieceAt> walls() {
    return List.copyOf(walls);
  }

  /** The runs of a controller of this plan with what hangs on them, in their order. */
  public List<HungRun> runsOf(Controller controller) {
    return runs.get(indexOf(controller.id()));
  }

  /** Every run, controller by controller. */
  public Stream<HungRun> runs() {
    return runs.stream().flatMap(List::stream);
  }

  /** Every run of pixels that carries any. */
  public Stream<HungRun> pixelRuns() {
    return runs().filter(HungRun::carriesPixels);
  }

  /** The run at a port, if anything hangs or is set there. */
  public Optional<HungRun> run(PortRef port) {
    return controller(port.controller()).map(this::runsOf).stream()
        .flatMap(List::stream)
        .filter(run -> run.run().kind() == port.kind() && run.run().port() == port.port())
        .findFirst();
  }

  /** How a controller lays channels. */
  public InForce inForce(Controller controller) {
    return InForce.of(modelOf(controller), controller);
  }

  /** Where a piece hangs, if it is patched. */
  public Optional<LegAt> leg(String piece) {
    return Optional.ofNullable(legs.get(piece));
  }

  /** Hosts included. */
  public Listed<Controller> controllers() {
    return controllers;
  }

  public Listed<Prop> props() {
    return props;
  }

  public Listed<Zone> zones() {
    return zones;
  }

  /** How a zone is called; empty where none is meant. */
  public String zoneName(Optional<String> zone) {
    return zone.flatMap(zones::find).map(Zone::name).orElse("");
  }

  public Listed<Subnet> subnets() {
    return subnets;
  }

  /** The first subnet that an address lies in. */
  public Optional<Subnet> subnetOf(IpAddress address) {
    return display.subnets().stream().filter(subnet -> subnet.contains(address)).findFirst();
  }

  public Listed<Supply> supplies() {
    return supplies;
  }

  public Listed<MainsCircuit> mains() {
    return mains;
  }

  public Listed<Enclosure> enclosures() {
    return enclosures;
  }

  public Listed<Link> links() {
    return links;
  }

  public Optional<Controller> controller(String id) {
    return controllers.find(id);
  }

  /** A controller that must be there: edits name it. */
  public Controller existingController(String id) {
    return controllers.existing(id);
  }

  /** A supply that must be there: feeds and edits name it. */
  public Supply existingSupply(String id) {
    return supplies.existing(id);
  }

  /** Place in the list, from 0, of a controller that is there. */
  public int indexOf(String controller) {
    return controllers.place(controller).orElseThrow();
  }

  public DeviceModel modelOf(Controller controller) {
    return catalog.model(controller.model()).orElseThrow();
  }

  public PixelType typeOf(PixelString string) {
    return catalog.pixelType(string.pixelType()).orElseThrow();
  }

  /** The mode in which a controller's ports of a kind run; empty where its model has none. */
  public Optional<PortMode> modeOf(Controller controller, PortKind kind) {
    return modelOf(controller)
        .portsOf(kind)
        .map(group -> group.modeOrFirst(controller.settings().mode()));
  }

  /** Whether a controller's ports of a kind come out at remote boxes. */
  public boolean hasBoxes(Controller controller, PortKind kind) {
    return modelOf(controller).portsOf(kind).flatMap(PortGroup::banks).isPresent();
  }

  /** Whether the port is there in the controller's mode. */
  public boolean hasPort(PortRef port) {
    return controller(port.controller())
        .flatMap(controller -> modeOf(controller, port.kind()))
        .filter(mode -> port.port() <= mode.ports())
        .isPresent();
  }

  /** A port's name as on its cable tag: K1-7. */
  public String written(PortRef port) {
    return port.written(existingController(port.controller()).tag());
  }

  private void indexPieces() {
    List<Prop> props = display.props();
    for (int i = 0; i < props.size(); i++) {
      for (int j = 0; j < props.get(i).pieces().size(); j++) {
        Piece piece = props.get(i).pieces().get(j);
        Optional<PixelType> type =
            piece instanceof PixelString string
                ? Optional.of(typeOf(string, i, j))
                : Optional.empty();
        PieceAt at = new PieceAt(props.get(i), piece, type);
        pieces.put(piece.id(), at);
        if (piece instanceof Wall) {
          walls.add(at);
        }
      }
    }
  }

  /** The type of a string; told with its place where the string cannot be of it. */
  private PixelType typeOf(PixelString string, int prop, int piece) {
    PixelType type =
        catalog
            .pixelType(string.pixelType())
            .orElseThrow(
                () ->
                    new RefusedException(
                        "props[%d].pieces[%d].pixelType".formatted(prop, piece),
                        Require.quoted(string.pixelType()),
                        "no pixel type has this id; the catalogue lists them"));
    for (int i = 0; i < string.sections().size(); i++) {
      var order = string.sections().get(i).colourOrder();
      if (order.isPresent() && order.get().channels() != type.channels()) {
        throw new RefusedException(
            "props[%d].pieces[%d].sections[%d].colourOrder".formatted(prop, piece, i),
            order.get().letters(),
            "pixels of type %s have %d channels".formatted(type.name(), type.channels()));
      }
    }
    return type;
  }

  private void checkController(Controller controller, String place) {
    DeviceModel model = catalog.existingModel(place + ".model", controller.model());
    Protocol protocol = controller.protocol();
    if (model.hostOnly() ? protocol != Protocol.NONE : model.support(protocol).isEmpty()) {
      throw new RefusedException(
          place + ".settings.protocol", protocol.name(), model.title() + " takes " + spoken(model));
    }
    controller.settings().mode().ifPresent(mode -> checkMode(model, mode, place));
    controller.powered().forEach(input -> checkInput(model, input, place + ".powered"));
    List<HungRun> hung = new ArrayList<>(controller.runs().size());
    runs.add(hung);
    for (int i = 0; i < controller.runs().size(); i++) {
      int at = i;
      Run run = controller.runs().get(i);
      checkRun(controller, run, model, () -> place + ".runs[" + at + "]");
      hung.add(HungRun.of(this, controller, run));
    }
  }

  private static void checkInput(DeviceModel model, PoweredInput input, String place) {
    boolean boxes = model.portsOf(PortKind.PIXEL).flatMap(PortGroup::banks).isPresent();
    if (input.bank().isPresent() && !boxes) {
      throw new RefusedException(
          place, input.socket().title(), model.title() + " has no remote boxes");
    } else if (input.bank().isEmpty() && input.input() > model.powerInputs().size()) {
      throw new RefusedException(
          place,
          input.socket().title(),
          "%s has %d power inputs".formatted(model.title(), model.powerInputs().size()));
    }
  }

  private static String spoken(DeviceModel model) {
    return model.hostOnly()
        ? "NONE, since it is a host"
        : String.join(", ", model.protocols().stream().map(s -> s.protocol().name()).toList());
  }

  private static void checkMode(DeviceModel model, String mode, String place) {
    List<String> names =
        model.ports().stream()
            .flatMap(group -> group.modes().stream())
            .map(PortMode::name)
            .distinct()
            .toList();
    if (!names.contains(mode)) {
      throw new RefusedException(
          place + ".settings.mode",
          Require.quoted(mode),
          model.title() + " has the modes " + String.join(", ", names));
    }
  }

  private void checkRun(Controller controller, Run run, DeviceModel model, Supplier<String> place) {
    int most = model.portsOf(run.kind()).map(PortGroup::mostPorts).orElse(0);
    if (run.port() > most) {
      String allowed =
          most == 0 ? "no ports of this kind" : "ports 1 to %d of this kind".formatted(most);
      throw new RefusedException(
          place.get() + ".port", run.kind() + " " + run.port(), model.title() + " has " + allowed);
    }
    boolean boxes = model.portsOf(run.kind()).flatMap(PortGroup::banks).isPresent();
    PortRef port = new PortRef(controller.id(), run.kind(), run.port());
    for (int i = 0; i < run.legs().size(); i++) {
      Leg leg = run.legs().get(i);
      Optional<Wrong> wrong =
          checkLeg(model, run.kind(), leg, existingPiece(leg.piece()).piece(), boxes);
      if (wrong.isPresent()) {
        throw refused(place.get(), i, wrong.get());
      }
      legs.put(leg.piece(), new LegAt(port, i, leg));
    }
  }

  /** What is wrong with a leg, and what is allowed. */
  private record Wrong(String field, String found, String allowed) {}

  private static RefusedException refused(String run, int leg, Wrong wrong) {
    return new RefusedException(
        "%s.legs[%d].%s".formatted(run, leg, wrong.field()), wrong.found(), wrong.allowed());
  }

  /** A box on a port without boxes cannot be stated; one too many in a chain is found. */
  private static Optional<Wrong> checkLeg(
      DeviceModel model, PortKind kind, Leg leg, Piece piece, boolean boxes) {
    if (piece.portKind() != kind) {
      return Optional.of(
          new Wrong(
              "piece",
              Require.quoted(piece.name()),
              "it hangs on a %s port, and this is a %s port".formatted(piece.portKind(), kind)));
    } else if (!leg.feeds().isEmpty() && kind != PortKind.PIXEL) {
      return Optional.of(
          new Wrong(
              "feeds",
              leg.feeds().size() + " feeds",
              "only a string of pixels is fed along its wire"));
    } else if (leg.box().isPresent() && !boxes) {
      return Optional.of(
          new Wrong(
              "box",
              String.valueOf(leg.box().get()),
              model.title() + " has no remote boxes; leave the box out"));
    }
    return Optional.empty();
  }
}
