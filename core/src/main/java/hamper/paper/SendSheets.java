package hamper.paper;

import hamper.config.SendLine;
import hamper.config.SendList;
import hamper.facts.Facts;
import hamper.paper.Block.Cell;
import hamper.paper.Block.Column;
import hamper.paper.Block.Table;
import hamper.sheet.ShowList;
import hamper.sheet.ShowList.ShowRow;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** What sources are told, and what whoever makes the show has to know. */
final class SendSheets {
  private SendSheets() {}

  static Sheet sendList(Facts facts) {
    List<List<Cell>> rows = new ArrayList<>();
    for (SendLine one : SendList.of(facts.plan(), facts.resolution())) {
      rows.add(
          List.of(
              Cell.of(one.source().orElse("")),
              Cell.of(one.controller()),
              Cell.of(one.protocol().title()),
              Cell.of(
                  "%s %s"
                      .formatted(
                          one.transport().name().toLowerCase(Locale.ROOT), one.destination())),
              Cell.of(universes(one)),
              Cell.of(one.size()),
              Cell.ofWhole(one.priority()),
              Cell.of(one.displayStart())));
    }
    return Sheet.of(
        Sheet.Kind.SEND,
        "Send list",
        "What each source sends, to whom, from which channel of the display on.",
        List.of(
            new Table(
                "",
                List.of(
                    Column.of("Source", 2),
                    Column.of("Controller", 2),
                    Column.of("Protocol", 2),
                    Column.of("To", 4),
                    Column.of("Universes", 2),
                    Column.of("Channels", 2),
                    Column.of("Priority", 2),
                    Column.of("From display channel", 2)),
                rows,
                "Nothing is sent.")));
  }

  private static String universes(SendLine one) {
    return one.firstUniverse()
        .map(
            first -> one.universes() > 1 ? first + "–" + (first + one.universes() - 1) : "" + first)
        .orElseGet(() -> one.offset().map(offset -> "bytes from " + offset).orElse(""));
  }

  static Sheet showList(Facts facts, int version) {
    ShowList list = ShowList.of(facts.plan(), facts.resolution(), version, Map.of());
    List<List<Cell>> rows = new ArrayList<>();
    for (ShowRow row : list.rows()) {
      rows.add(
          List.of(
              Cell.of(row.section() > 1 ? row.piece() + ", " + row.section() : row.piece()),
              Cell.of(row.zone()),
              Cell.of(row.first() + " to " + row.last()),
              row.displayFirst() > 0
                  ? Cell.of(row.displayFirst() + "–" + row.displayLast())
                  : Cell.of(""),
              Cell.of(row.addresses()),
              Cell.of(row.pixels()),
              Cell.of(row.wall().isEmpty() ? row.direction() : row.wall())));
    }
    return Sheet.of(
        Sheet.Kind.SHOW,
        "Show list",
        "For whoever makes the show: %d frames a second.".formatted(list.framesPerSecond()),
        List.of(
            new Table(
                "",
                List.of(
                    Column.of("Piece", 4),
                    Column.of("Zone", 2),
                    Column.of("Addresses", 3),
                    Column.of("Display channels", 3),
                    Column.of("Groups", 1),
                    Column.of("Pixels", 1),
                    Column.of("Runs", 2)),
                rows,
                "Nothing is addressed.")));
  }
}
