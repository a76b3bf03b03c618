package hamper.files;

import hamper.address.ChannelSpan;
import hamper.address.PortAddress;
import hamper.address.Protocol;
import hamper.address.UniverseChannel;
import hamper.catalog.PortKind;
import hamper.display.Controller;
import hamper.display.Piece;
import hamper.display.PieceAt;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.resolve.ControllerBlock;
import hamper.resolve.Overlap;
import hamper.resolve.Placement;
import hamper.resolve.Resolution;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Every section, circuit and fixture with its addresses, every controller's block, and all
 * overlaps. Format: docs/formats/addresses.md.
 */
public record AddressTable(
    String display, List<Row> sections, List<Block> controllers, List<Shared> overlaps) {

  /** One section, circuit or fixture. What it has not is left out. */
  public record Row(
      String controller,
      PortKind kind,
      int port,
      int position,
      String prop,
      String piece,
      String pieceId,
      int section,
      Optional<Integer> pixels,
      Optional<Integer> nullPixels,
      Optional<Integer> addresses,
      int channels,
      Optional<Integer> controllerStart,
      Optional<Integer> controllerEnd,
      Optional<Integer> displayStart,
      Optional<Integer> displayEnd,
      Optional<Integer> startUniverse,
      Optional<Integer> startChannel,
      Optional<Integer> endUniverse,
      Optional<Integer> endChannel,
      Optional<Integer> deviceUniverse,
      Optional<Net> artnet,
      Optional<Integer> offset,
      Optional<Integer> length,
      boolean held,
      boolean mirror) {}

  /** The parts of an Art-Net Port-Address. */
  public record Net(int net, int subNet, int universe) {}

  /** The block of one controller. */
  public record Block(
      String name,
      Protocol protocol,
      int channels,
      int usedChannels,
      int universes,
      Optional<Integer> firstUniverse,
      Optional<Integer> displayStart) {}

  /** Two places that share channels. */
  public record Shared(
      Place a,
      Place b,
      int channels,
      Optional<List<Integer>> first,
      Optional<List<Integer>> last,
      Optional<Integer> firstOffset,
      Optional<Integer> lastOffset) {}

  /** Where a party of an overlap stands. */
  public record Place(
      String controller, PortKind kind, int port, int position, String pieceId, int section) {}

  public static AddressTable of(Plan plan, Resolution resolution) {
    List<Controller> controllers = plan.display().controllers();
    return new AddressTable(
        plan.display().name(),
        resolution.placements().map(at -> row(plan, at)).toList(),
        IntStream.range(0, controllers.size())
            .mapToObj(i -> block(controllers.get(i), resolution.blocks().get(i)))
            .toList(),
        resolution.overlaps().pairs().stream().map(pair -> shared(plan, pair)).toList());
  }

  private static Row row(Plan plan, Placement at) {
    Controller controller = plan.display().controllers().get(at.controller());
    PieceAt piece = plan.existingPiece(at.piece());
    Optional<ChannelSpan> span = at.controllerChannels();
    boolean byOffset = controller.protocol() == Protocol.DDP;
    boolean pixels = at.pixels() > 0;
    return new Row(
        controller.tag(),
        at.kind(),
        at.port().port(),
        at.position(),
        piece.prop().name(),
        piece.piece().name(),
        at.piece(),
        at.section() + 1,
        when(pixels, at.pixels()),
        nullPixels(piece.piece(), at),
        when(pixels, at.addresses()),
        at.channels(),
        span.map(ChannelSpan::start),
        span.map(ChannelSpan::last),
        when(at.displayStart() > 0, at.displayStart()),
        when(at.displayStart() > 0, at.displayEnd()),
        at.start().map(UniverseChannel::universe),
        at.start().map(UniverseChannel::channel),
        at.end().map(UniverseChannel::universe),
        at.end().map(UniverseChannel::channel),
        at.start()
            .map(
                start ->
                    plan.modelOf(controller)
                        .dialect()
                        .written(controller.protocol(), start.universe())),
        at.start()
            .filter(start -> controller.protocol() == Protocol.ARTNET)
            .filter(start -> Protocol.ARTNET.hasUniverse(start.universe()))
            .map(start -> net(new PortAddress(start.universe()))),
        span.filter(s -> byOffset).map(s -> s.start() - 1),
        span.filter(s -> byOffset).map(ChannelSpan::length),
        at.held(),
        at.mirror());
  }

  private static Optional<Integer> nullPixels(Piece piece, Placement at) {
    return piece instanceof PixelString string
        ? Optional.of(string.sections().get(at.section()).nullPixels())
        : Optional.empty();
  }

  private static Net net(PortAddress address) {
    return new Net(address.net(), address.subNet(), address.universe());
  }

  private static Block block(Controller controller, ControllerBlock block) {
    return new Block(
        controller.tag(),
        controller.protocol(),
        block.channels(),
        block.usedChannels(),
        block.universes(),
        block.firstUniverse(),
        when(block.displayStart() > 0, block.displayStart()));
  }

  private static Shared shared(Plan plan, Overlap overlap) {
    return new Shared(
        place(plan, overlap.a()),
        place(plan, overlap.b()),
        overlap.channels(),
        overlap.first().map(AddressTable::pair),
        overlap.last().map(AddressTable::pair),
        overlap.firstOffset(),
        overlap.lastOffset());
  }

  private static List<Integer> pair(UniverseChannel slot) {
    return List.of(slot.universe(), slot.channel());
  }

  private static Place place(Plan plan, Placement at) {
    return new Place(
        plan.display().controllers().get(at.controller()).tag(),
        at.kind(),
        at.port().port(),
        at.position(),
        at.piece(),
        at.section() + 1);
  }

  private static Optional<Integer> when(boolean has, int value) {
    return has ? Optional.of(value) : Optional.empty();
  }
}
