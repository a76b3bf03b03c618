package hamper.server.api;

import hamper.paper.Block;
import hamper.paper.CrewSheet;
import hamper.paper.CrewSheet.PortRow;
import hamper.paper.Sheet;
import hamper.paper.WallSheet;
import java.util.List;

/** A sheet as the screen shows it: the same words, block by block. */
record SheetView(String id, String title, String about, List<SheetBlock> blocks) {
  /** What a block is. */
  enum BlockKind {
    FACTS,
    WORDS,
    TABLE,
    PORTS,
    WALL
  }

  /**
   * A part of a sheet; what it has not is empty.
   *
   * @param lines of words; of a table without rows what is said instead
   * @param heads of its columns
   * @param rows of cells; of a wall its panels, from the top
   */
  record SheetBlock(
      BlockKind kind,
      String title,
      List<SheetFact> facts,
      List<String> lines,
      List<SheetHeading> heads,
      List<List<String>> rows,
      List<SheetPort> ports) {}

  /** A label with its value. */
  record SheetFact(String label, String value) {}

  /**
   * The head of a column.
   *
   * @param number whether it holds numbers
   */
  record SheetHeading(String title, boolean number) {}

  /**
   * A port.
   *
   * @param lines what hangs there in wire order, and then where power enters; none where it is free
   */
  record SheetPort(String written, String at, List<String> lines) {}

  static SheetView of(Sheet sheet) {
    return new SheetView(
        sheet.id(),
        sheet.title(),
        sheet.about(),
        sheet.blocks().stream().map(SheetView::block).toList());
  }

  private static SheetBlock block(Block block) {
    if (block instanceof Block.Facts facts) {
      return new SheetBlock(
          BlockKind.FACTS,
          "",
          facts.facts().stream().map(one -> new SheetFact(one.label(), one.value())).toList(),
          List.of(),
          List.of(),
          List.of(),
          List.of());
    } else if (block instanceof Block.Words words) {
      return plain(BlockKind.WORDS, words.title(), words.lines(), List.of(), List.of());
    } else if (block instanceof Block.Table table) {
      return plain(
          BlockKind.TABLE,
          table.title(),
          table.rows().isEmpty() ? List.of(table.none()) : List.of(),
          heads(table),
          table.rows().stream().map(row -> row.stream().map(Block.Cell::text).toList()).toList());
    } else if (block instanceof CrewSheet.PortsOf outlets) {
      return new SheetBlock(
          BlockKind.PORTS,
          outlets.title(),
          List.of(),
          List.of(),
          List.of(),
          List.of(),
          outlets.ports().stream().map(SheetView::outlet).toList());
    }
    WallSheet wall = (WallSheet) block;
    return plain(
        BlockKind.WALL,
        wall.title(),
        List.of(),
        List.of(),
        wall.rows().stream().map(row -> row.stream().map(WallSheet.Panel::told).toList()).toList());
  }

  private static SheetBlock plain(
      BlockKind kind,
      String title,
      List<String> lines,
      List<SheetHeading> heads,
      List<List<String>> rows) {
    return new SheetBlock(kind, title, List.of(), lines, heads, rows, List.of());
  }

  private static List<SheetHeading> heads(Block.Table table) {
    List<SheetHeading> heads = new java.util.ArrayList<>();
    for (int i = 0; i < table.columns().size(); i++) {
      int column = i;
      heads.add(
          new SheetHeading(
              table.columns().get(i).head(),
              table.rows().stream().anyMatch(row -> row.get(column).number().isPresent())));
    }
    return heads;
  }

  private static SheetPort outlet(PortRow row) {
    List<String> lines = new java.util.ArrayList<>();
    row.legs().forEach(leg -> lines.add(leg.told()));
    row.feeds().forEach(feed -> lines.add(feed.told()));
    return new SheetPort(row.written(), row.at(), lines);
  }
}
