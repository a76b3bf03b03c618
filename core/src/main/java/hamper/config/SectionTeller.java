package hamper.config;

import hamper.address.ColourOrder;
import hamper.catalog.DeviceModel;
import hamper.catalog.PixelType;
import hamper.catalog.SectionOption;
import hamper.catalog.Told;
import hamper.display.Circuit;
import hamper.display.Controller;
import hamper.display.HungRun;
import hamper.display.PieceAt;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Section;
import hamper.display.SlotPiece;
import hamper.display.StripDecoder;
import hamper.display.Wall;
import hamper.resolve.Placement;
import java.util.Optional;

/** Tells the settings of sections as far as a model takes them. */
final class SectionTeller {
  private final Plan plan;
  private final DeviceModel model;

  SectionTeller(Plan plan, Controller controller) {
    this.plan = plan;
    this.model = plan.modelOf(controller);
  }

  /**
   * @param opensLeg whether the leg's gap lies right before this section
   */
  OutputSection tell(HungRun run, Placement at, boolean opensLeg, DeviceStart start) {
    PieceAt piece = pieceOf(run, at);
    Section section = piece.string().sections().get(at.section());
    int gap = opensLeg ? run.legs().get(at.leg()).leg().nullPixels() : 0;
    return new OutputSection(
        nameOf(piece, at),
        start,
        section.pixels(),
        perSection(SectionOption.NULL_PIXELS, section.nullPixels() + gap),
        perSection(SectionOption.GROUP, section.group()),
        perSection(SectionOption.FOLD, section.fold()).flatMap(fold -> fold),
        perSection(SectionOption.DIRECTION, section.backward()),
        perSection(SectionOption.COLOUR_ORDER, order(run, at)),
        perSection(SectionOption.BRIGHTNESS, brightness(run, at)),
        run.boxes() ? Optional.of(run.legs().get(at.leg()).box()) : Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty());
  }

  /** What the port is told once: of its first section. */
  Output.PortOptions port(HungRun run, Placement first) {
    Section section = pieceOf(run, first).string().sections().get(first.section());
    int gap = run.legs().get(first.leg()).leg().nullPixels();
    return new Output.PortOptions(
        perPort(SectionOption.NULL_PIXELS, section.nullPixels() + gap),
        perPort(SectionOption.GROUP, section.group()),
        perPort(SectionOption.FOLD, section.fold()).flatMap(fold -> fold),
        perPort(SectionOption.DIRECTION, section.backward()),
        perPort(SectionOption.COLOUR_ORDER, order(run, first)),
        perPort(SectionOption.BRIGHTNESS, brightness(run, first)));
  }

  OutputSection circuit(Placement at, DeviceStart start) {
    PieceAt piece = plan.existingPiece(at.piece());
    Circuit circuit = (Circuit) piece.piece();
    return OutputSection.plain(nameOf(piece, at), start, 1)
        .withCircuit(circuit.threshold(), circuit.safeOn());
  }

  OutputSection surface(Placement at, DeviceStart start) {
    PieceAt piece = plan.existingPiece(at.piece());
    Wall wall = (Wall) piece.piece();
    return OutputSection.plain(nameOf(piece, at), start, at.pixels())
        .withMatrix(
            new OutputSection.Matrix(wall.width(), wall.height(), wall.order(), wall.panels()));
  }

  OutputSection fixture(Placement at) {
    PieceAt piece = plan.existingPiece(at.piece());
    SlotPiece slotted = (SlotPiece) piece.piece();
    Optional<StripDecoder> decoder =
        slotted instanceof StripDecoder strip ? Optional.of(strip) : Optional.empty();
    return OutputSection.plain(
            nameOf(piece, at), DeviceStart.NONE, decoder.map(StripDecoder::pixels).orElse(0))
        .withSlots(slotted.slot(), slotted.channels(), decoder.map(StripDecoder::ledsPerPixel));
  }

  /** What a port is told that it drives: the type of its first string. */
  static PixelType type(HungRun run, Placement first) {
    return pieceOf(run, first).pixels();
  }

  private ColourOrder order(HungRun run, Placement at) {
    PieceAt piece = pieceOf(run, at);
    return piece.orderOf(piece.string().sections().get(at.section()));
  }

  private int brightness(HungRun run, Placement at) {
    PieceAt piece = pieceOf(run, at);
    Section section = piece.string().sections().get(at.section());
    return run.brightness(piece, section);
  }

  /** The value, where the device takes one a port. */
  private <T> Optional<T> perPort(SectionOption option, T value) {
    return model.told(option) == Told.PER_PORT ? Optional.of(value) : Optional.empty();
  }

  private static PieceAt pieceOf(HungRun run, Placement at) {
    return run.legs().get(at.leg()).at();
  }

  private <T> Optional<T> perSection(SectionOption option, T value) {
    return model.told(option) == Told.PER_SECTION ? Optional.of(value) : Optional.empty();
  }

  private static String nameOf(PieceAt piece, Placement at) {
    boolean several = piece.piece() instanceof PixelString string && string.sections().size() > 1;
    return several ? piece.title() + " section " + (at.section() + 1) : piece.title();
  }
}
