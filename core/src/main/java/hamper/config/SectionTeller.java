package hamper.config;

import hamper.address.ColourOrder;
import hamper.catalog.DeviceModel;
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
        told(SectionOption.NULL_PIXELS, section.nullPixels() + gap),
        told(SectionOption.GROUP, section.group()),
        section.fold().filter(fold -> model.told(SectionOption.FOLD) != Told.NOT),
        told(SectionOption.DIRECTION, section.backward()),
        perSection(SectionOption.COLOUR_ORDER, order(run, at)),
        perSection(SectionOption.BRIGHTNESS, brightness(run, at)),
        Optional.empty(),
        Optional.empty(),
        Optional.empty());
  }

  OutputSection circuit(Placement at, DeviceStart start) {
    PieceAt piece = plan.existingPiece(at.piece());
    Circuit circuit = (Circuit) piece.piece();
    return plain(
        piece, at, start, 1, Optional.empty(), Optional.empty(), Optional.of(circuit.threshold()));
  }

  OutputSection surface(Placement at, DeviceStart start) {
    PieceAt piece = plan.existingPiece(at.piece());
    Wall wall = (Wall) piece.piece();
    OutputSection.Matrix matrix =
        new OutputSection.Matrix(wall.width(), wall.height(), wall.order(), wall.panels());
    return plain(
        piece, at, start, at.pixels(), Optional.of(matrix), Optional.empty(), Optional.empty());
  }

  OutputSection fixture(Placement at) {
    PieceAt piece = plan.existingPiece(at.piece());
    SlotPiece fixture = (SlotPiece) piece.piece();
    return plain(
        piece,
        at,
        DeviceStart.NONE,
        fixture.channels(),
        Optional.empty(),
        Optional.of(fixture.slot()),
        Optional.empty());
  }

  /** The chip that a port is told it drives: that of its first string. */
  String chip(HungRun run, Placement first) {
    return pieceOf(run, first).pixels().chip();
  }

  ColourOrder order(HungRun run, Placement at) {
    PieceAt piece = pieceOf(run, at);
    return piece.orderOf(piece.string().sections().get(at.section()));
  }

  int brightness(HungRun run, Placement at) {
    PieceAt piece = pieceOf(run, at);
    Section section = piece.string().sections().get(at.section());
    return run.brightness(piece, section);
  }

  /** The value, where the device takes one a port. */
  <T> Optional<T> perPort(SectionOption option, T value) {
    return model.told(option) == Told.PER_PORT ? Optional.of(value) : Optional.empty();
  }

  private static PieceAt pieceOf(HungRun run, Placement at) {
    return run.legs().get(at.leg()).at();
  }

  private <T> Optional<T> told(SectionOption option, T value) {
    return model.told(option) == Told.NOT ? Optional.empty() : Optional.of(value);
  }

  private <T> Optional<T> perSection(SectionOption option, T value) {
    return model.told(option) == Told.PER_SECTION ? Optional.of(value) : Optional.empty();
  }

  private static OutputSection plain(
      PieceAt piece,
      Placement at,
      DeviceStart start,
      int pixels,
      Optional<OutputSection.Matrix> matrix,
      Optional<Integer> slot,
      Optional<Integer> threshold) {
    return new OutputSection(
        nameOf(piece, at),
        start,
        pixels,
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        matrix,
        slot,
        threshold);
  }

  private static String nameOf(PieceAt piece, Placement at) {
    boolean several = piece.piece() instanceof PixelString string && string.sections().size() > 1;
    return several ? piece.title() + " section " + (at.section() + 1) : piece.title();
  }
}
