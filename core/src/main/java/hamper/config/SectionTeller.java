package hamper.config;

import hamper.address.ColourOrder;
import hamper.catalog.DeviceModel;
import hamper.catalog.SectionOption;
import hamper.catalog.Told;
import hamper.display.Brightness;
import hamper.display.Circuit;
import hamper.display.Controller;
import hamper.display.Leg;
import hamper.display.PieceAt;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Run;
import hamper.display.Section;
import hamper.display.SlotPiece;
import hamper.display.Wall;
import hamper.resolve.Placement;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;

/** Tells the settings of sections as far as a model takes them, and notes what it lacks. */
final class SectionTeller {
  private final Plan plan;
  private final Controller controller;
  private final DeviceModel model;
  private final List<Untold> untold;

  /** The piece asked for last: sections of one string come one after another. */
  private Optional<PieceAt> last = Optional.empty();

  SectionTeller(Plan plan, Controller controller, List<Untold> untold) {
    this.plan = plan;
    this.controller = controller;
    this.model = plan.modelOf(controller);
    this.untold = untold;
  }

  /**
   * @param opensLeg whether the leg's gap lies right before this section
   * @param opensPort whether nothing stands before it on the port
   */
  OutputSection tell(
      Run run, Placement at, boolean opensLeg, boolean opensPort, DeviceStart start) {
    PieceAt piece = pieceOf(at);
    Section section = piece.string().sections().get(at.section());
    ColourOrder order = orderOf(piece, section);
    int percent = Brightness.percent(section, piece.prop(), run, controller);
    Leg leg = run.legs().get(at.leg());
    int nulls = section.nullPixels() + (opensLeg ? leg.nullPixels() : 0);
    note(at, SectionOption.NULL_PIXELS, nulls > 0, opensPort, () -> nulls + " null pixels");
    note(at, SectionOption.GROUP, section.group() > 1, true, () -> "groups of " + section.group());
    note(at, SectionOption.FOLD, section.fold().isPresent(), true, () -> "a fold");
    note(at, SectionOption.DIRECTION, section.backward(), true, () -> "running backward");
    noteOrder(at, order);
    boolean nearer =
        section.brightness().isPresent()
            || piece.prop().brightness().isPresent()
            || run.brightness().isPresent();
    // the controller's own brightness is not asked of sections; a nearer one is
    note(at, SectionOption.BRIGHTNESS, nearer, true, () -> "a brightness of " + percent + " %");
    return new OutputSection(
        nameOf(at),
        start,
        section.pixels(),
        told(SectionOption.NULL_PIXELS, nulls),
        told(SectionOption.GROUP, section.group()),
        section.fold().filter(fold -> model.told(SectionOption.FOLD) != Told.NOT),
        told(SectionOption.DIRECTION, section.backward()),
        perSection(SectionOption.COLOUR_ORDER, order),
        perSection(SectionOption.BRIGHTNESS, percent),
        Optional.empty(),
        Optional.empty(),
        Optional.empty());
  }

  OutputSection circuit(Placement at, DeviceStart start) {
    Circuit circuit = (Circuit) plan.existingPiece(at.piece()).piece();
    return plain(
        at, start, 1, Optional.empty(), Optional.empty(), Optional.of(circuit.threshold()));
  }

  OutputSection surface(Placement at, DeviceStart start) {
    Wall wall = (Wall) plan.existingPiece(at.piece()).piece();
    OutputSection.Matrix matrix =
        new OutputSection.Matrix(wall.width(), wall.height(), wall.order(), wall.panels());
    return plain(at, start, at.pixels(), Optional.of(matrix), Optional.empty(), Optional.empty());
  }

  OutputSection fixture(Placement at) {
    SlotPiece fixture = (SlotPiece) plan.existingPiece(at.piece()).piece();
    return plain(
        at,
        DeviceStart.NONE,
        fixture.channels(),
        Optional.empty(),
        Optional.of(fixture.slot()),
        Optional.empty());
  }

  PixelString stringOf(Placement at) {
    return (PixelString) pieceOf(at).piece();
  }

  ColourOrder order(Placement at) {
    return orderOf(pieceOf(at), sectionOf(at));
  }

  private static ColourOrder orderOf(PieceAt piece, Section section) {
    return section.colourOrder().orElseGet(() -> piece.pixels().colourOrder());
  }

  int brightness(Run run, Placement at) {
    return Brightness.percent(sectionOf(at), pieceOf(at).prop(), run, controller);
  }

  /** The one value of an option that the device takes a port; notes where sections disagree. */
  <T> Optional<T> onePerPort(
      List<Placement> placements, SectionOption option, Function<Placement, T> value) {
    if (model.told(option) != Told.PER_PORT) {
      return Optional.empty();
    }
    T first = value.apply(placements.get(0));
    for (Placement at : placements) {
      if (!value.apply(at).equals(first)) {
        untold(at, "%s %s: this port has %s".formatted(option.title(), value.apply(at), first));
      }
    }
    return Optional.of(first);
  }

  /** Notes sections that ask for other groups, folds or directions than the port can have. */
  void noteDisagreement(List<Placement> placements) {
    onePerPort(placements, SectionOption.GROUP, at -> sectionOf(at).group());
    onePerPort(
        placements,
        SectionOption.FOLD,
        at -> sectionOf(at).fold().map(String::valueOf).orElse("none"));
    onePerPort(
        placements,
        SectionOption.DIRECTION,
        at -> sectionOf(at).backward() ? "backward" : "forward");
  }

  private PieceAt pieceOf(Placement at) {
    if (last.isEmpty() || !last.get().piece().id().equals(at.piece())) {
      last = Optional.of(plan.existingPiece(at.piece()));
    }
    return last.get();
  }

  private Section sectionOf(Placement at) {
    return stringOf(at).sections().get(at.section());
  }

  /** Notes an option that is asked for and cannot be told, or not in this place. */
  private void note(
      Placement at,
      SectionOption option,
      boolean asked,
      boolean wherePortTakesIt,
      Supplier<String> what) {
    if (asked && model.told(option) == Told.NOT) {
      untold(at, what.get() + ": the device has no such setting");
    } else if (asked && model.told(option) == Told.PER_PORT && !wherePortTakesIt) {
      untold(at, what.get() + " inside the run: the device takes them at the plug only");
    }
  }

  private void noteOrder(Placement at, ColourOrder order) {
    boolean usual = order.equals(model.usualOrder(order.channels()));
    note(at, SectionOption.COLOUR_ORDER, !usual, true, () -> "colour order " + order);
  }

  private <T> Optional<T> told(SectionOption option, T value) {
    return model.told(option) == Told.NOT ? Optional.empty() : Optional.of(value);
  }

  private <T> Optional<T> perSection(SectionOption option, T value) {
    return model.told(option) == Told.PER_SECTION ? Optional.of(value) : Optional.empty();
  }

  private OutputSection plain(
      Placement at,
      DeviceStart start,
      int pixels,
      Optional<OutputSection.Matrix> matrix,
      Optional<Integer> slot,
      Optional<Integer> threshold) {
    return new OutputSection(
        nameOf(at),
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

  private String nameOf(Placement at) {
    PieceAt piece = pieceOf(at);
    boolean several = piece.piece() instanceof PixelString string && string.sections().size() > 1;
    return several ? piece.title() + " section " + (at.section() + 1) : piece.title();
  }

  private void untold(Placement at, String what) {
    untold.add(new Untold(at.port(), Optional.of(at.piece()), what));
  }
}
