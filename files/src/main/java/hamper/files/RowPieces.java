package hamper.files;

import hamper.address.ColourOrder;
import hamper.catalog.Catalog;
import hamper.catalog.PixelType;
import hamper.display.Circuit;
import hamper.display.Fixture;
import hamper.display.GridOrder;
import hamper.display.Piece;
import hamper.display.PixelString;
import hamper.display.Section;
import hamper.display.SerialDimmer;
import hamper.display.StripDecoder;
import hamper.display.Wall;
import hamper.value.RefusedException;
import hamper.value.Require;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Predicate;

/**
 * Makes the pieces that a row asks for.
 *
 * @param usualType of pixels, where a row names none
 */
record RowPieces(Catalog catalog, String usualType) {
  static String title(WhatCell what, int index) {
    String kind = what.kind().name().toLowerCase(Locale.ROOT);
    return what.count() == 1 ? kind : kind + " " + (index + 1);
  }

  /**
   * @param place among the equal pieces of the row: slots and unit numbers count on
   */
  Piece piece(RowCells cells, WhatCell what, String id, String name, int place) {
    List<Integer> sizes = what.sizes();
    return switch (what.kind()) {
      case STRING -> string(cells, what, id, name);
      case CIRCUIT -> new Circuit(id, name, 128, false, Optional.empty());
      case FIXTURE -> new Fixture(id, name, number(what) + place * sizes.get(0), sizes.get(0));
      case DECODER ->
          new StripDecoder(
              id,
              name,
              number(what) + place * sizes.get(0) * StripDecoder.CHANNELS_PER_PIXEL,
              sizes.get(0),
              1);
      case DIMMER -> new SerialDimmer(id, name, number(what) + place, sizes.get(0));
      case SCREEN ->
          Wall.screen(id, name, new Wall.Size(sizes.get(0), sizes.get(1)), what.number());
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

  /** A start slot or a unit number. */
  private static int number(WhatCell what) {
    return (int) what.number();
  }

  private PixelString string(RowCells cells, WhatCell what, String id, String name) {
    PixelType type = type(cells.text(PropColumn.TYPE));
    Optional<ColourOrder> order = order(cells.text(PropColumn.ORDER), type);
    List<Section> sections = new ArrayList<>();
    for (int i = 0; i < what.sizes().size(); i++) {
      int group = what.groups().get(i);
      sections.add(
          new Section(
              what.sizes().get(i),
              sections.isEmpty() ? cells.number(PropColumn.NULLS, 0, 0, 1000) : 0,
              group > 0 ? group : cells.number(PropColumn.GROUP, 1, 1, Section.MOST_PIXELS),
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

  /** By id or name; else by the one chip, or the one name, that has the word in it. */
  PixelType type(String cell) {
    String wanted = PropRowReader.key(cell.isEmpty() ? usualType : cell);
    List<PixelType> all = catalog.pixelTypes();
    return the(all, type -> is(type.id(), wanted) || is(type.name(), wanted))
        .or(() -> the(all, type -> has(type.chip(), wanted)))
        .or(() -> the(all, type -> has(type.id(), wanted) || has(type.name(), wanted)))
        .orElseThrow(
            () ->
                new RefusedException(
                    PropColumn.TYPE.title(),
                    Require.quoted(cell),
                    "no pixel type is meant by that alone; there are "
                        + String.join(", ", all.stream().map(PixelType::id).toList())));
  }

  private static boolean is(String known, String wanted) {
    return PropRowReader.key(known).equals(wanted);
  }

  private static boolean has(String known, String wanted) {
    return PropRowReader.key(known).contains(wanted);
  }

  /** The only one that is so. */
  private static Optional<PixelType> the(List<PixelType> all, Predicate<PixelType> so) {
    List<PixelType> found = all.stream().filter(so).limit(2).toList();
    return found.size() == 1 ? Optional.of(found.get(0)) : Optional.empty();
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
}
