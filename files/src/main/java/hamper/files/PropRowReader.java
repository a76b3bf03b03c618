package hamper.files;

import hamper.address.ColourOrder;
import hamper.catalog.PixelType;
import hamper.display.Circuit;
import hamper.display.Fixture;
import hamper.display.GridOrder;
import hamper.display.Piece;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.display.Section;
import hamper.display.SerialDimmer;
import hamper.display.StripDecoder;
import hamper.display.Wall;
import hamper.display.Zone;
import hamper.files.BadFileException.Reason;
import hamper.value.RefusedException;
import hamper.value.Require;
import java.text.Normalizer;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Makes props of rows; a bad row makes none, and says why. */
final class PropRowReader {
  private static final String STARTS_FORMULA = "=+-@";
  private static final Pattern NUMBER = Pattern.compile("[+-]?\\d{1,20}([.,]\\d{1,20})?");

  private final Plan plan;
  private final String usualType;
  private final Map<PropColumn, Integer> columns;
  private final FreeIds ids;
  private final FreeIds zones;
  private final Map<String, String> zoneIds = new HashMap<>();
  private final List<Zone> newZones = new ArrayList<>();

  /** Props of this table by name, and the row of the first that made each. */
  private final Map<String, Prop> made = new LinkedHashMap<>();

  private final Map<String, Integer> rowOf = new HashMap<>();
  private final Set<String> namesBefore;

  private final RowBudget budget = new RowBudget();

  PropRowReader(Plan plan, String usualType, Map<PropColumn, Integer> columns) {
    this.plan = plan;
    this.usualType = usualType;
    this.columns = columns;
    this.ids = new FreeIds(PropRows.idsOf(plan));
    this.zones = new FreeIds(plan.display().zones().stream().map(Zone::id).toList());
    this.namesBefore =
        plan.display().props().stream().map(prop -> key(prop.name())).collect(Collectors.toSet());
    plan.display().zones().forEach(zone -> zoneIds.put(key(zone.name()), zone.id()));
  }

  PropRows read(List<SpreadsheetText.Row> rows) {
    List<PropRows.Entry> entries = rows.stream().map(this::entry).toList();
    return new PropRows(entries, List.of(), List.copyOf(made.values()), List.copyOf(newZones));
  }

  private PropRows.Entry entry(SpreadsheetText.Row row) {
    List<Reason> reasons = new ArrayList<>();
    int before = made.size();
    int pixels = 0;
    try {
      pixels = take(new Cells(row));
    } catch (RefusedException e) {
      reasons.add(
          new Reason(
              "row %d, %s".formatted(row.number(), e.place()), e.found() + ": " + e.allowed()));
    }
    Cells cells = new Cells(row);
    return new PropRows.Entry(
        row.number(),
        cells.raw(PropColumn.PROP),
        cells.raw(PropColumn.WHAT),
        cells.raw(PropColumn.ZONE),
        made.size() - before,
        pixels,
        reasons);
  }

  /** The cells of a row by column; whatever is asked for wrongly is refused with its column. */
  private final class Cells {
    private final SpreadsheetText.Row row;

    Cells(SpreadsheetText.Row row) {
      this.row = row;
    }

    String raw(PropColumn column) {
      Integer place = columns.get(column);
      return place == null || place >= row.cells().size() ? "" : row.cells().get(place);
    }

    /** No text may be a formula: what a spreadsheet computed is not what it shows us. */
    String text(PropColumn column) {
      String cell = raw(column);
      Require.that(
          cell.isEmpty()
              || STARTS_FORMULA.indexOf(cell.charAt(0)) < 0
              || NUMBER.matcher(cell).matches(),
          column.title(),
          Require.quoted(cell),
          "it begins like a formula; paste its value");
      return cell;
    }

    int number(PropColumn column, int otherwise, int least, int most) {
      String cell = text(column);
      return cell.isEmpty()
          ? otherwise
          : Require.inRange(column.title(), whole(column, cell), least, most);
    }

    Optional<Integer> number(PropColumn column, int least, int most) {
      return text(column).isEmpty()
          ? Optional.empty()
          : Optional.of(number(column, 0, least, most));
    }

    private int whole(PropColumn column, String cell) {
      try {
        return Integer.parseInt(cell);
      } catch (NumberFormatException e) {
        throw new RefusedException(
            column.title(), Require.quoted(cell), "a whole number stands here");
      }
    }

    double metres(PropColumn column) {
      String cell = text(column);
      try {
        return cell.isEmpty() ? 0 : Double.parseDouble(cell.replace(',', '.'));
      } catch (NumberFormatException e) {
        throw new RefusedException(
            column.title(), Require.quoted(cell), "a length in metres stands here, such as 1.5");
      }
    }

    void nothingBeyond() {
      int most = columns.values().stream().mapToInt(i -> i + 1).max().orElse(0);
      List<String> beyond =
          row.cells().size() > most ? row.cells().subList(most, row.cells().size()) : List.of();
      Require.that(
          beyond.stream().allMatch(String::isEmpty),
          "cell " + (most + 1),
          Require.quoted(beyond.stream().filter(cell -> !cell.isEmpty()).findFirst().orElse("")),
          "there is no column for it");
    }
  }

  /**
   * @return pixels of what was made
   */
  private int take(Cells cells) {
    cells.nothingBeyond();
    String name = Require.name("prop", cells.text(PropColumn.PROP));
    WhatCell what = WhatCell.read(cells.text(PropColumn.WHAT));
    String pieceName = cells.text(PropColumn.PIECE);
    Optional<String> zone = zone(cells.text(PropColumn.ZONE));
    budget.spend(NumberedNames.count(name), what);
    List<String> names = NumberedNames.of(name);
    names.forEach(one -> checkName(one, pieceName));
    List<Prop> props = new ArrayList<>();
    int pixels = 0;
    for (int i = 0; i < names.size(); i++) {
      Prop prop = prop(cells, names.get(i), pieceName, zone, what, i);
      pixels +=
          prop.pieces().stream()
              .mapToInt(piece -> piece instanceof PixelString s ? s.pixels() : 0)
              .sum();
      props.add(prop);
    }
    // only now, so that a row is taken as a whole or not at all
    props.forEach(prop -> keep(prop, cells.row.number()));
    return pixels;
  }

  private void checkName(String name, String pieceName) {
    Require.that(
        !namesBefore.contains(key(name)),
        PropColumn.PROP.title(),
        Require.quoted(name),
        "the display has a prop of this name already; choose another");
    Prop first = made.get(key(name));
    boolean told =
        first == null
            || !pieceName.isEmpty()
                && first.pieces().stream().noneMatch(piece -> piece.name().equals(pieceName));
    Require.that(
        told,
        pieceName.isEmpty() ? PropColumn.PROP.title() : PropColumn.PIECE.title(),
        Require.quoted(pieceName.isEmpty() ? name : pieceName),
        "it stands in row %d already; for another piece of the same prop name the piece"
            .formatted(rowOf.getOrDefault(key(name), 0)));
  }

  private void keep(Prop prop, int row) {
    String key = key(prop.name());
    Prop first = made.get(key);
    List<Piece> pieces = new ArrayList<>(first == null ? List.of() : first.pieces());
    pieces.addAll(prop.pieces());
    made.put(key, (first == null ? prop : first).withPieces(pieces));
    rowOf.putIfAbsent(key, row);
  }

  private Prop prop(
      Cells cells, String name, String pieceName, Optional<String> zone, WhatCell what, int index) {
    String propId = made.containsKey(key(name)) ? made.get(key(name)).id() : ids.free(slug(name));
    List<Piece> pieces = new ArrayList<>();
    for (int i = 0; i < what.count(); i++) {
      String id = ids.free(propId + "-" + (pieceName.isEmpty() ? i + 1 : slug(pieceName)));
      String title = pieceName.isEmpty() ? pieceTitle(what, i) : pieceName;
      pieces.add(piece(cells, what, id, title, index * what.count() + i));
    }
    return new Prop(propId, name, zone, cells.number(PropColumn.BRIGHTNESS, 0, 100), pieces);
  }

  private static String pieceTitle(WhatCell what, int index) {
    String kind = what.kind().name().toLowerCase(Locale.ROOT);
    return what.count() == 1 ? kind : kind + " " + (index + 1);
  }

  /**
   * @param place among the equal pieces of the row: slots and unit numbers count on
   */
  private Piece piece(Cells cells, WhatCell what, String id, String name, int place) {
    List<Integer> sizes = what.sizes();
    return switch (what.kind()) {
      case STRING -> string(cells, what, id, name);
      case CIRCUIT -> new Circuit(id, name, 128, false, Optional.empty());
      case FIXTURE -> new Fixture(id, name, what.number() + place * sizes.get(0), sizes.get(0));
      case DECODER ->
          new StripDecoder(
              id,
              name,
              what.number() + place * sizes.get(0) * StripDecoder.CHANNELS_PER_PIXEL,
              sizes.get(0),
              1);
      case DIMMER -> new SerialDimmer(id, name, what.number() + place, sizes.get(0));
      case WALL ->
          new Wall(
              id,
              name,
              GridOrder.reading(),
              Optional.empty(),
              Optional.of(new Wall.Resolution(sizes.get(0), sizes.get(1))),
              Optional.empty(),
              Optional.empty(),
              Optional.empty());
    };
  }

  private PixelString string(Cells cells, WhatCell what, String id, String name) {
    PixelType type = type(cells.text(PropColumn.TYPE));
    Optional<ColourOrder> order = order(cells.text(PropColumn.ORDER), type);
    List<Section> sections = new ArrayList<>();
    for (int pixels : what.sizes()) {
      sections.add(
          new Section(
              pixels,
              sections.isEmpty() ? cells.number(PropColumn.NULLS, 0, 0, 1000) : 0,
              cells.number(PropColumn.GROUP, 1, 1, Section.MOST_PIXELS),
              cells.number(PropColumn.FOLD, 1, Section.MOST_PIXELS),
              backward(cells.text(PropColumn.DIRECTION)),
              order,
              Optional.empty(),
              Optional.empty()));
    }
    return new PixelString(
        id,
        name,
        type.id(),
        sections,
        cells.text(PropColumn.DATA_IN),
        cells.text(PropColumn.CONNECTOR),
        cells.metres(PropColumn.LEAD),
        Optional.empty());
  }

  private PixelType type(String cell) {
    String wanted = key(cell.isEmpty() ? usualType : cell);
    return plan.catalog().pixelTypes().stream()
        .filter(type -> key(type.id()).equals(wanted) || key(type.name()).equals(wanted))
        .findFirst()
        .orElseThrow(
            () ->
                new RefusedException(
                    PropColumn.TYPE.title(),
                    Require.quoted(cell),
                    "no pixel type is called that; there are "
                        + String.join(
                            ", ",
                            plan.catalog().pixelTypes().stream().map(PixelType::id).toList())));
  }

  private static Optional<ColourOrder> order(String cell, PixelType type) {
    if (cell.isEmpty()) {
      return Optional.empty();
    }
    ColourOrder order = new ColourOrder(cell.toUpperCase(Locale.ROOT));
    Require.that(
        order.channels() == type.channels(),
        PropColumn.ORDER.title(),
        cell,
        "pixels of type %s have %d channels".formatted(type.name(), type.channels()));
    return Optional.of(order);
  }

  private static boolean backward(String cell) {
    boolean back = cell.toLowerCase(Locale.ROOT).startsWith("back");
    Require.that(
        back || cell.isEmpty() || cell.toLowerCase(Locale.ROOT).startsWith("forw"),
        PropColumn.DIRECTION.title(),
        Require.quoted(cell),
        "write forward or backward");
    return back;
  }

  /** The id of a zone, which is made where the display has none of this name. */
  private Optional<String> zone(String name) {
    if (name.isEmpty()) {
      return Optional.empty();
    }
    return Optional.of(
        zoneIds.computeIfAbsent(
            key(name),
            key -> {
              String id = zones.free(slug(name));
              newZones.add(new Zone(id, name, Optional.empty(), Optional.empty()));
              return id;
            }));
  }

  private static String key(String name) {
    return name.strip().toLowerCase(Locale.ROOT);
  }

  /** A name as an id: plain letters, digits and dashes. */
  private static String slug(String name) {
    String plain =
        Normalizer.normalize(name, Normalizer.Form.NFD)
            .toLowerCase(Locale.ROOT)
            .replaceAll("\\p{M}", "")
            .replaceAll("[^a-z0-9]+", "-")
            .replaceAll("^-|-$", "");
    String cut = plain.length() > 40 ? plain.substring(0, 40) : plain;
    return cut.isEmpty() ? "prop" : cut;
  }
}
