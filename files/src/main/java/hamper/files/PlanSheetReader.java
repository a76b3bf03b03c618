package hamper.files;

import hamper.address.ColourOrder;
import hamper.catalog.PixelType;
import hamper.display.Display;
import hamper.display.Leg;
import hamper.display.Piece;
import hamper.display.PieceAt;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.display.Section;
import hamper.display.Zone;
import hamper.edit.Edit;
import hamper.edit.Restore;
import hamper.files.BadFileException.Reason;
import hamper.files.PlanSheet.CellChange;
import hamper.files.PlanSheet.Does;
import hamper.files.PlanSheet.SheetEntry;
import hamper.value.RecordShape;
import hamper.value.RefusedException;
import hamper.value.Require;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Holds rows against the plan; a bad row changes nothing, and says why. */
final class PlanSheetReader {
  private final Plan plan;
  private final PlanSheet.Starts starts;
  private final List<PlanSheet.Column> columns;
  private final Map<PlanColumn, Integer> places;
  private final Map<PlanColumn, String> heads;
  private final RowPieces types;
  private final NewRows fresh;

  /** Pieces by the name of their prop. */
  private final Map<String, List<PieceAt>> known = new HashMap<>();

  private final Map<String, Prop> props = new LinkedHashMap<>();
  private final Map<String, String> zoneNames = new HashMap<>();
  private final Hanging hanging;
  private final SheetStarts wanted;
  private final Set<String> told = new HashSet<>();

  PlanSheetReader(
      Plan plan,
      String usualType,
      PlanSheet.Starts starts,
      List<PlanSheet.Column> columns,
      Map<PlanColumn, Integer> places,
      Map<PlanColumn, String> heads) {
    this.plan = plan;
    this.starts = starts;
    this.columns = columns;
    this.places = places;
    this.heads = heads;
    this.types = new RowPieces(plan.catalog(), usualType);
    this.fresh = new NewRows(plan, usualType);
    this.hanging = new Hanging(plan);
    this.wanted = new SheetStarts(plan);
    for (Prop prop : plan.display().props()) {
      props.put(prop.id(), prop);
      List<PieceAt> pieces = known.computeIfAbsent(key(prop.name()), name -> new ArrayList<>());
      prop.pieces().forEach(piece -> pieces.add(plan.existingPiece(piece.id())));
    }
    for (Zone zone : plan.display().zones()) {
      zoneNames.put(zone.id(), zone.name());
    }
  }

  private static String key(String name) {
    return PropRowReader.key(name);
  }

  PlanSheet read(List<SpreadsheetText.Row> rows) {
    List<SheetEntry> entries = rows.stream().map(this::entry).toList();
    List<Reason> reasons = new ArrayList<>();
    List<PlanSheet.Differs> differs = new ArrayList<>();
    Optional<Edit> edit = Optional.empty();
    try {
      Display flowing = target();
      Display all = wanted.in(plan.with(flowing), starts, differs);
      String title = title(entries);
      edit =
          all.equals(plan.display())
              ? Optional.empty()
              : Optional.of(Restore.between(title, plan.display(), all));
    } catch (RefusedException e) {
      reasons.add(new Reason("file", e.getMessage()));
    }
    return new PlanSheet(columns, entries, reasons, differs, edit);
  }

  private static String title(List<SheetEntry> entries) {
    long added = entries.stream().filter(entry -> entry.does() == Does.ADDS).count();
    long changed = entries.stream().filter(entry -> entry.does() == Does.CHANGES).count();
    List<String> parts = new ArrayList<>();
    if (added > 0) {
      parts.add("%,d added".formatted(added));
    }
    if (changed > 0) {
      parts.add("%,d changed".formatted(changed));
    }
    return "Take a spreadsheet in" + (parts.isEmpty() ? "" : ": " + String.join(", ", parts));
  }

  /** The display with all good rows in it, before starts are held. */
  private Display target() {
    List<Prop> all = new ArrayList<>(props.values());
    all.addAll(fresh.made());
    Display display = plan.display();
    List<Zone> zoned = new ArrayList<>(display.zones());
    zoned.addAll(fresh.newZones());
    return display.withZones(zoned).withProps(all).withControllers(hanging.controllers());
  }

  private SheetEntry entry(SpreadsheetText.Row row) {
    PlanCells cells = new PlanCells(row, places, heads);
    String title = cells.text(PlanColumn.PROP);
    List<CellChange> changes = new ArrayList<>();
    try {
      Require.that(!title.isEmpty(), cells.head(PlanColumn.PROP), "nothing", "write its name");
      List<PieceAt> pieces = known.get(key(title));
      Does does = pieces == null ? add(cells) : change(cells, piece(cells, pieces), changes);
      return new SheetEntry(row.number(), title(cells), does, List.copyOf(changes), List.of());
    } catch (RefusedException e) {
      Reason reason =
          new Reason(
              "row %d, %s".formatted(row.number(), headOf(e.place())),
              e.found() + ": " + e.allowed());
      return new SheetEntry(row.number(), title(cells), Does.BAD, List.of(), List.of(reason));
    }
  }

  private static String title(PlanCells cells) {
    return (cells.text(PlanColumn.PROP) + " " + cells.text(PlanColumn.PIECE)).strip();
  }

  /** A place that was told in our words, by the planner's own head. */
  private String headOf(String place) {
    for (PlanColumn column : PlanColumn.values()) {
      boolean ours =
          place.equalsIgnoreCase(column.title())
              || (column == PlanColumn.PIXELS && place.equals("what"));
      if (ours && heads.containsKey(column)) {
        return heads.get(column);
      }
    }
    return place;
  }

  private PieceAt piece(PlanCells cells, List<PieceAt> pieces) {
    String name = cells.text(PlanColumn.PIECE);
    PieceAt found =
        pieces.stream()
            .filter(at -> name.isEmpty() ? pieces.size() == 1 : is(at.piece().name(), name))
            .findFirst()
            .orElseThrow(
                () ->
                    new RefusedException(
                        cells.head(PlanColumn.PIECE),
                        name.isEmpty() ? "nothing" : Require.quoted(name),
                        "the prop has the pieces "
                            + String.join(
                                ", ", pieces.stream().map(at -> at.piece().name()).toList())));
    Require.that(
        told.add(found.piece().id()),
        cells.head(PlanColumn.PROP),
        Require.quoted(found.title()),
        "it stands in a row above already");
    return found;
  }

  private static boolean is(String known, String written) {
    return key(known).equals(key(written));
  }

  /** A row of something that is not there yet. */
  private Does add(PlanCells cells) {
    Hanging.Wish wish = hanging.read(cells, Optional.empty());
    SheetStarts.Wish start = wanted.read(cells);
    int nulls = cells.whole(PlanColumn.NULL_PIXELS, 0, 1000).orElse(0);
    Piece made = fresh.add(cells);
    hanging.hang(made.id(), made.portKind(), wish, Optional.of(nulls));
    wanted.want(cells.row().number(), made.id(), title(cells), start);
    return Does.ADDS;
  }

  private Does change(PlanCells cells, PieceAt at, List<CellChange> changes) {
    Prop prop = props.get(at.prop().id());
    Piece piece = at.piece();
    Optional<String> zone = zone(cells, prop, changes);
    Optional<Integer> brightness = cells.whole(PlanColumn.BRIGHTNESS, 0, 100).or(prop::brightness);
    differs(changes, PlanColumn.BRIGHTNESS, prop.brightness(), brightness);
    Piece changed = piece instanceof PixelString string ? string(cells, string, changes) : piece;
    sameSize(cells, piece);
    Hanging.Wish wish = hanging.read(cells, Optional.of(at));
    hanging.differs(at, wish, changes);
    Optional<Integer> nulls = nulls(cells, at, changes);
    SheetStarts.Wish start = wanted.read(cells).butFor(piece.id(), changes);
    // only now, so that a row is taken as a whole or not at all
    List<Piece> pieces =
        prop.pieces().stream().map(one -> one.id().equals(piece.id()) ? changed : one).toList();
    Prop after = RecordShape.with(prop.withZone(zone).withPieces(pieces), "brightness", brightness);
    props.put(prop.id(), after);
    hanging.hang(piece.id(), piece.portKind(), wish, nulls);
    wanted.want(cells.row().number(), piece.id(), at.title(), start);
    return changes.isEmpty() ? Does.NOTHING : Does.CHANGES;
  }

  private static void differs(
      List<CellChange> changes, PlanColumn column, Optional<?> from, Optional<?> to) {
    if (!from.equals(to)) {
      changes.add(
          new CellChange(
              column, from.map(Object::toString).orElse(""), to.map(Object::toString).orElse("")));
    }
  }

  private Optional<String> zone(PlanCells cells, Prop prop, List<CellChange> changes) {
    String name = cells.text(PlanColumn.ZONE);
    // several zones may have one name
    if (name.isEmpty()
        || prop.zone().map(zoneNames::get).filter(one -> is(one, name)).isPresent()) {
      return prop.zone();
    }
    Require.name(cells.head(PlanColumn.ZONE), name);
    String id = fresh.zone(name);
    zoneNames.putIfAbsent(id, name);
    if (!prop.zone().equals(Optional.of(id))) {
      changes.add(
          new CellChange(
              PlanColumn.ZONE, prop.zone().map(zoneNames::get).orElse(""), zoneNames.get(id)));
    }
    return Optional.of(id);
  }

  private PixelString string(PlanCells cells, PixelString string, List<CellChange> changes) {
    PixelString changed = string;
    Optional<Integer> pixels = pixels(cells, string);
    if (pixels.isPresent() && pixels.get() != string.pixels()) {
      changes.add(
          new CellChange(
              PlanColumn.PIXELS, String.valueOf(string.pixels()), String.valueOf(pixels.get())));
      changed =
          changed.withSection(
              0, RecordShape.with(changed.sections().get(0), "pixels", pixels.get()));
    }
    PixelType was = plan.typeOf(string);
    PixelType type = was;
    if (!cells.text(PlanColumn.TYPE).isEmpty()) {
      String written = cells.text(PlanColumn.TYPE);
      type = is(was.name(), written) ? was : types.type(written);
      if (!type.id().equals(was.id())) {
        changes.add(new CellChange(PlanColumn.TYPE, was.name(), type.name()));
        changed = RecordShape.with(changed, "pixelType", type.id());
      }
    }
    return order(cells, changed, type, was, changes);
  }

  private Optional<Integer> pixels(PlanCells cells, PixelString string) {
    Optional<Integer> pixels = cells.whole(PlanColumn.PIXELS, 1, Section.MOST_PIXELS);
    if (pixels.isPresent() && pixels.get() != string.pixels()) {
      Require.that(
          string.sections().size() == 1,
          cells.head(PlanColumn.PIXELS),
          pixels.get(),
          "it has %d sections of %d pixels in all; change them on its ribbon"
              .formatted(string.sections().size(), string.pixels()));
    }
    return pixels;
  }

  private PixelString order(
      PlanCells cells,
      PixelString string,
      PixelType type,
      PixelType was,
      List<CellChange> changes) {
    String written = cells.text(PlanColumn.ORDER);
    if (written.isEmpty()) {
      return string;
    }
    ColourOrder order = new ColourOrder(written.toUpperCase(java.util.Locale.ROOT));
    Require.that(
        order.channels() == type.channels(),
        cells.head(PlanColumn.ORDER),
        order,
        "pixels of type %s have %d channels".formatted(type.name(), type.channels()));
    ColourOrder is = string.sections().get(0).colourOrder().orElse(was.colourOrder());
    if (is.equals(order)) {
      return string;
    }
    changes.add(new CellChange(PlanColumn.ORDER, is.toString(), order.toString()));
    PixelString changed = string;
    for (int i = 0; i < string.sections().size(); i++) {
      changed =
          changed.withSection(
              i, RecordShape.with(string.sections().get(i), "colourOrder", Optional.of(order)));
    }
    return changed;
  }

  /** What has no pixels on a wire is not made another by a number. */
  private static void sameSize(PlanCells cells, Piece piece) {
    Require.that(
        piece instanceof PixelString || cells.text(PlanColumn.PIXELS).isEmpty(),
        cells.head(PlanColumn.PIXELS),
        Require.quoted(cells.text(PlanColumn.PIXELS)),
        "it is no string of pixels; leave the cell empty, and change it in Props");
  }

  private Optional<Integer> nulls(PlanCells cells, PieceAt at, List<CellChange> changes) {
    Optional<Integer> nulls = cells.whole(PlanColumn.NULL_PIXELS, 0, 1000);
    int now = plan.leg(at.piece().id()).map(leg -> leg.leg()).map(Leg::nullPixels).orElse(0);
    if (nulls.isPresent() && nulls.get() != now) {
      changes.add(
          new CellChange(PlanColumn.NULL_PIXELS, String.valueOf(now), String.valueOf(nulls.get())));
    }
    return nulls;
  }
}
