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
              Cell.of(to(one)),
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
                    Column.of("Source"),
                    Column.of("Controller"),
                    Column.of("Protocol"),
                    Column.of("To"),
                    Column.of("Universes"),
                    Column.of("Channels"),
                    Column.of("Priority"),
                    Column.of("From display channel")),
                rows,
                "Nothing is sent.")));
  }

  private static String to(SendLine one) {
    return one.destinationKind() == SendLine.Kind.BROADCAST
        ? one.destination()
        : one.transport().title() + " " + one.destination();
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
                  ? Cell.of(
                      Block.grouped(row.displayFirst()) + "–" + Block.grouped(row.displayLast()))
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
                    Column.of("Piece"),
                    Column.of("Zone"),
                    Column.of("Addresses"),
                    Column.of("Display channels"),
                    Column.of("Groups"),
                    Column.of("Pixels"),
                    Column.of("Runs")),
                rows,
                "Nothing is addressed.")));
  }
}
