package hamper.files;

import hamper.display.Piece;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.display.Zone;
import hamper.files.BadFileException.Reason;
import hamper.value.RefusedException;
import hamper.value.Require;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Makes props of rows; a bad row makes none, and says why. */
final class PropRowReader {
  private final RowPieces pieces;
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
    this.pieces = new RowPieces(plan.catalog(), usualType);
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

  /**
   * Takes one row more.
   *
   * @return the first piece that it makes
   * @throws RefusedException where it cannot be taken
   */
  Piece one(SpreadsheetText.Row row) {
    RowCells cells = new RowCells(row, columns);
    take(cells);
    Prop prop = made.get(key(NumberedNames.of(cells.text(PropColumn.PROP)).get(0)));
    return prop.pieces().stream()
        .filter(piece -> is(cells.text(PropColumn.PIECE), piece))
        .findFirst()
        .orElse(prop.pieces().get(0));
  }

  private static boolean is(String name, Piece piece) {
    return !name.isEmpty() && piece.name().equals(name);
  }

  List<Prop> made() {
    return List.copyOf(made.values());
  }

  List<Zone> newZones() {
    return List.copyOf(newZones);
  }

  private PropRows.Entry entry(SpreadsheetText.Row row) {
    List<Reason> reasons = new ArrayList<>();
    int before = made.size();
    int pixels = 0;
    try {
      pixels = take(new RowCells(row, columns));
    } catch (RefusedException e) {
      reasons.add(
          new Reason(
              "row %d, %s".formatted(row.number(), e.place()), e.found() + ": " + e.allowed()));
    }
    RowCells cells = new RowCells(row, columns);
    return new PropRows.Entry(
        row.number(),
        cells.raw(PropColumn.PROP),
        cells.raw(PropColumn.WHAT),
        cells.raw(PropColumn.ZONE),
        made.size() - before,
        pixels,
        reasons);
  }

  /**
   * @return pixels of what was made
   */
  private int take(RowCells cells) {
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
    props.forEach(prop -> keep(prop, cells.row().number()));
    return pixels;
  }

  private void checkName(String name, String pieceName) {
    Require.that(
        !namesBefore.contains(key(name)),
        PropColumn.PROP.title(),
        Require.quoted(name),
        "the display has a prop of this name already; choose another");
    Prop first = made.get(key(name));
    boolean isAnother =
        !pieceName.isEmpty()
            && first != null
            && first.pieces().stream().noneMatch(piece -> piece.name().equals(pieceName));
    if (first != null && !isAnother) {
      throw new RefusedException(
          pieceName.isEmpty() ? PropColumn.PROP.title() : PropColumn.PIECE.title(),
          Require.quoted(pieceName.isEmpty() ? name : pieceName),
          "it stands in row %d already; for another piece of the same prop name the piece"
              .formatted(rowOf.get(key(name))));
    }
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
      RowCells cells,
      String name,
      String pieceName,
      Optional<String> zone,
      WhatCell what,
      int index) {
    String propId =
        made.containsKey(key(name)) ? made.get(key(name)).id() : ids.free(Slug.of(name));
    List<Piece> hung = new ArrayList<>();
    for (int i = 0; i < what.count(); i++) {
      String id = ids.free(propId + "-" + (pieceName.isEmpty() ? i + 1 : Slug.of(pieceName)));
      String title = pieceName.isEmpty() ? RowPieces.title(what, i) : pieceName;
      hung.add(pieces.piece(cells, what, id, title, index * what.count() + i));
    }
    return new Prop(propId, name, zone, cells.number(PropColumn.BRIGHTNESS, 0, 100), hung);
  }

  /** The id of a zone, which is made where the display has none of this name. */
  Optional<String> zone(String name) {
    if (name.isEmpty()) {
      return Optional.empty();
    }
    return Optional.of(
        zoneIds.computeIfAbsent(
            key(name),
            key -> {
              String id = zones.free(Slug.of(name));
              newZones.add(new Zone(id, name, Optional.empty(), Optional.empty()));
              return id;
            }));
  }

  /** Names are told apart without regard to case and to spaces around them. */
  static String key(String name) {
    return name.strip().toLowerCase(Locale.ROOT);
  }
}
