package hamper.pdf;

import hamper.paper.Block;
import hamper.paper.CrewSheet;
import hamper.paper.Sheet;
import hamper.paper.WallSheet;
import java.io.IOException;
import java.util.Optional;

/** Draws a sheet, block by block. */
final class SheetPages {
  static final float TEXT = 10.5f;
  private static final float FACT_LABEL = 124;
  private static final int SHORTEST_SCALE = 50;

  private final Sheets sheets;
  private final Sheet sheet;

  private SheetPages(Sheets sheets, Sheet sheet) {
    this.sheets = sheets;
    this.sheet = sheet;
  }

  static void draw(Sheets sheets, Sheet sheet) throws IOException {
    new SheetPages(sheets, sheet).draw();
  }

  private void draw() throws IOException {
    Optional<String> controller =
        sheet.kind() == Sheet.Kind.CREW ? sheet.controller() : Optional.empty();
    sheets.begin(sheet.title(), controller);
    if (!sheet.about().isEmpty()) {
      sheets.paragraph(sheet.about(), 0, sheets.width(), TEXT, false);
    }
    for (Block block : sheet.blocks()) {
      if (block instanceof Block.Facts facts) {
        facts(facts);
      } else if (block instanceof Block.Words words) {
        words(words);
      } else if (block instanceof Block.Table table) {
        TableBlock.draw(sheets, table);
      } else if (block instanceof CrewSheet.PortsOf ports) {
        PortsBlock.draw(sheets, ports, longest());
      } else if (block instanceof WallSheet wall) {
        WallBlock.draw(sheets, wall);
      }
    }
  }

  private int longest() {
    return sheet.blocks().stream()
        .filter(CrewSheet.PortsOf.class::isInstance)
        .map(CrewSheet.PortsOf.class::cast)
        .flatMap(group -> group.ports().stream())
        .mapToInt(CrewSheet.PortRow::places)
        .reduce(SHORTEST_SCALE, Math::max);
  }

  private void facts(Block.Facts block) throws IOException {
    float room = sheets.width() - FACT_LABEL;
    for (CrewSheet.Labelled fact : block.facts()) {
      sheets.need(sheets.height(fact.value(), room, TEXT, false));
      sheets.write(fact.label(), 0, sheets.at() + TEXT, TEXT, true);
      sheets.paragraph(fact.value(), FACT_LABEL, room, TEXT, false);
    }
  }

  private void words(Block.Words words) throws IOException {
    if (words.lines().isEmpty()) {
      return;
    }
    if (!words.title().isEmpty()) {
      sheets.heading(words.title());
    }
    for (String line : words.lines()) {
      sheets.paragraph(line, 0, sheets.width(), TEXT, false);
    }
  }
}
