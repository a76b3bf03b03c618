package hamper.handover;

import hamper.catalog.PixelType;
import hamper.catalog.PortKind;
import hamper.config.Output;
import hamper.config.OutputSection;
import hamper.display.Circuit;
import hamper.display.Fixture;
import hamper.display.Leg;
import hamper.display.Piece;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.display.Run;
import hamper.display.Section;
import hamper.display.StripDecoder;
import hamper.display.Wall;
import hamper.value.RecordShape;
import hamper.value.RefusedException;
import hamper.value.Require;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.UnaryOperator;

/** What hangs on one output of a device, as pieces of the plan. */
final class TakenRun {
  /** What came of it. */
  record Made(List<Prop> props, List<Leg> legs) {}

  private static final int CIRCUIT = 1;
  private static final int WALL = 3;

  private final Plan plan;
  private final TakenStarts starts;
  private final Output output;

  TakenRun(Plan plan, TakenStarts starts, Output output) {
    this.plan = plan;
    this.starts = starts;
    this.output = output;
  }

  String title() {
    return output.kind() == PortKind.PIXEL
        ? "port " + output.label()
        : "%s %s".formatted(output.kind().title(), output.label());
  }

  String slug() {
    return "%s-%d".formatted(output.kind().title(), output.port());
  }

  /**
   * With what hangs there already, set as the device has it; empty where as much does not hang
   * there.
   *
   * @param props the prop of a piece, as it is by now
   */
  Optional<Made> over(Run run, Function<String, Prop> props) {
    List<Piece> pieces = new ArrayList<>();
    for (Leg leg : run.legs()) {
      Prop prop = props.apply(leg.piece());
      pieces.add(
          prop.pieces().stream()
              .filter(piece -> piece.id().equals(leg.piece()))
              .findFirst()
              .orElseThrow());
    }
    int sections = pieces.stream().mapToInt(TakenRun::sections).sum();
    if (pieces.isEmpty() || sections != output.sections().size()) {
      return Optional.empty();
    }
    Map<String, Prop> changed = new LinkedHashMap<>();
    List<Leg> legs = new ArrayList<>();
    int next = 0;
    for (int i = 0; i < pieces.size(); i++) {
      Piece piece = pieces.get(i);
      Optional<Piece> set = set(piece, next);
      if (set.isEmpty()) {
        return Optional.empty();
      }
      Prop prop = props.apply(piece.id());
      Prop now = changed.getOrDefault(prop.id(), prop);
      changed.put(
          prop.id(),
          now.withPieces(
              now.pieces().stream()
                  .map(one -> one.id().equals(piece.id()) ? set.get() : one)
                  .toList()));
      legs.add(leg(run.legs().get(i), piece, next));
      next += sections(piece);
    }
    return Optional.of(new Made(List.copyOf(changed.values()), legs));
  }

  private static int sections(Piece piece) {
    return piece instanceof PixelString string ? string.sections().size() : 1;
  }

  /** The gap of a leg is told with the null pixels of its first section, and counts there now. */
  private Leg leg(Leg leg, Piece piece, int first) {
    OutputSection section = output.sections().get(first);
    boolean told = nulls(section, first).isPresent();
    Leg placed =
        piece instanceof PixelString && told ? RecordShape.with(leg, "nullPixels", 0) : leg;
    return placed.withBox(section.box().isPresent() ? section.box() : leg.box());
  }

  /** The piece as the device has it; empty where it is of another kind. */
  private Optional<Piece> set(Piece piece, int first) {
    OutputSection told = output.sections().get(first);
    if (piece instanceof PixelString string && output.kind() == PortKind.PIXEL) {
      PixelType type = plan.typeOf(string);
      if (!output.pixelType().filter(type.chip()::equals).isPresent()
          || output.channelsPerPixel().orElse(0) != type.channels()) {
        return Optional.empty();
      }
      PixelString changed = string;
      for (int i = 0; i < string.sections().size(); i++) {
        changed = changed.withSection(i, section(string.sections().get(i), first + i));
      }
      return Optional.of(changed);
    } else if (piece instanceof Circuit circuit && output.kind() == PortKind.RELAY) {
      return Optional.of(
          new Circuit(
              circuit.id(),
              circuit.name(),
              told.threshold().orElse(circuit.threshold()),
              told.safeOn().orElse(circuit.safeOn()),
              starts.hold(told.start(), CIRCUIT),
              circuit.shortestOnSeconds(),
              circuit.shortestOffSeconds(),
              circuit.longestOnSeconds(),
              circuit.interlock()));
    } else if (piece instanceof Fixture fixture && told.ledsPerPixel().isEmpty()) {
      return Optional.of(
          new Fixture(
              fixture.id(),
              fixture.name(),
              told.slot().orElse(fixture.slot()),
              told.slots().orElse(fixture.channels()),
              told.slots().filter(slots -> slots < fixture.channels()).isPresent()
                  ? List.of()
                  : fixture.pairs()));
    } else if (piece instanceof StripDecoder decoder && told.ledsPerPixel().isPresent()) {
      return Optional.of(
          new StripDecoder(
              decoder.id(),
              decoder.name(),
              told.slot().orElse(decoder.slot()),
              told.pixels(),
              told.ledsPerPixel().get()));
    } else if (piece instanceof Wall wall && told.matrix().isPresent()) {
      return Optional.of(wall(wall.id(), wall.name(), told));
    }
    return Optional.empty();
  }

  /** Of a new prop, with a piece for each section that has a box or is no string, else one. */
  Made anew(String id, String name, UnaryOperator<String> fresh) {
    List<Piece> pieces = new ArrayList<>();
    List<Leg> legs = new ArrayList<>();
    if (output.kind() == PortKind.PIXEL) {
      int from = 0;
      for (int i = 1; i <= output.sections().size(); i++) {
        boolean ends =
            i == output.sections().size()
                || !output.sections().get(i).box().equals(output.sections().get(from).box());
        if (ends) {
          Piece piece = string(fresh.apply(id + "-s"), "string " + (pieces.size() + 1), from, i);
          pieces.add(piece);
          legs.add(Leg.of(piece.id()).withBox(output.sections().get(from).box()));
          from = i;
        }
      }
    } else {
      for (int i = 0; i < output.sections().size(); i++) {
        Piece piece = other(fresh.apply(id + "-p"), "part " + (i + 1), output.sections().get(i));
        pieces.add(piece);
        legs.add(Leg.of(piece.id()));
      }
    }
    return new Made(List.of(new Prop(id, name, Optional.empty(), Optional.empty(), pieces)), legs);
  }

  private Piece string(String id, String name, int from, int to) {
    List<Section> sections = new ArrayList<>();
    for (int i = from; i < to; i++) {
      sections.add(section(Section.of(output.sections().get(i).pixels()), i));
    }
    return new PixelString(id, name, type().id(), sections, "", "", 0, Optional.empty());
  }

  private PixelType type() {
    return plan.catalog().pixelTypes().stream()
        .filter(type -> output.pixelType().filter(type.chip()::equals).isPresent())
        .filter(type -> output.channelsPerPixel().orElse(0) == type.channels())
        .findFirst()
        .orElseThrow(
            () ->
                new RefusedException(
                    "pixelType",
                    Require.quoted(output.pixelType().orElse("")),
                    "no pixel type has this chip with %d channels; add one to the catalogue"
                        .formatted(output.channelsPerPixel().orElse(0))));
  }

  private Optional<Integer> nulls(OutputSection section, int index) {
    return section
        .nullPixels()
        .or(() -> index == 0 ? output.options().nullPixels() : Optional.empty());
  }

  /** A section as the device has it; what it was not told stays. */
  private Section section(Section planned, int index) {
    OutputSection told = output.sections().get(index);
    Output.PortOptions port = output.options();
    boolean folds = told.fold().isPresent() || port.fold().isPresent();
    boolean groups = told.group().isPresent() || port.group().isPresent();
    return new Section(
        told.pixels(),
        nulls(told, index).orElse(planned.nullPixels()),
        told.group().or(port::group).orElse(planned.group()),
        folds || groups ? told.fold().or(port::fold) : planned.fold(),
        told.backward().or(port::backward).orElse(planned.backward()),
        told.colourOrder().or(port::colourOrder).or(planned::colourOrder),
        told.brightness().or(port::brightness).or(planned::brightness),
        starts
            .hold(told.start(), output.channelsPerPixel().orElse(3))
            .or(
                () ->
                    index == 0
                        ? starts.hold(output.start(), output.channelsPerPixel().orElse(3))
                        : Optional.empty()));
  }

  private Piece other(String id, String name, OutputSection told) {
    return switch (output.kind()) {
      case RELAY ->
          new Circuit(
              id,
              name,
              told.threshold().orElse(128),
              told.safeOn().orElse(false),
              starts.hold(told.start(), CIRCUIT),
              Optional.empty(),
              Optional.empty(),
              Optional.empty(),
              Optional.empty());
      case PANEL -> wall(id, name, told);
      case DMX ->
          told.ledsPerPixel().isPresent()
              ? new StripDecoder(
                  id, name, told.slot().orElse(1), told.pixels(), told.ledsPerPixel().get())
              : new Fixture(id, name, told.slot().orElse(1), told.slots().orElse(1), List.of());
      case PIXEL, SERIAL -> throw new IllegalStateException("no other piece hangs there");
    };
  }

  private Wall wall(String id, String name, OutputSection told) {
    OutputSection.Matrix matrix = told.matrix().orElseThrow();
    return new Wall(
        id,
        name,
        matrix.order(),
        matrix.panels(),
        matrix.panels().isPresent()
            ? Optional.empty()
            : Optional.of(new Wall.Resolution(matrix.width(), matrix.height())),
        Optional.empty(),
        Optional.empty(),
        starts.hold(told.start(), WALL));
  }
}
