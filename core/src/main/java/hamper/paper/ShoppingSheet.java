package hamper.paper;

import hamper.display.Plan;
import hamper.display.Workshop;
import hamper.paper.Block.Cell;
import hamper.paper.Block.Column;
import hamper.paper.Block.Table;
import hamper.paper.Shopping.Line;
import java.util.ArrayList;
import java.util.List;

/** The shopping list, group by group. */
final class ShoppingSheet {
  private ShoppingSheet() {}

  static Sheet of(Plan plan) {
    List<Line> lines = Shopping.of(plan);
    List<Block> blocks = new ArrayList<>();
    for (Shopping.Group group : Shopping.Group.values()) {
      List<List<Cell>> rows =
          lines.stream().filter(line -> line.group() == group).map(ShoppingSheet::row).toList();
      if (!rows.isEmpty()) {
        blocks.add(
            new Table(
                group.title(),
                List.of(
                    Column.of("Article"),
                    Column.of("Unit"),
                    Column.of("Needed"),
                    Column.of(group == Shopping.Group.CABLE ? "Allowance" : "Spares"),
                    Column.of("In stock"),
                    Column.of("To buy")),
                rows,
                ""));
      }
    }
    Workshop workshop = plan.display().workshop();
    return Sheet.of(
        Sheet.Kind.SHOPPING,
        "Shopping list",
        ("Needed by the plan, with %d %% spares of pixels, fixtures, fuses and connectors, and %d %%"
                + " allowance of cable, less what is in stock. Cable as entered or as estimated.")
            .formatted(workshop.spares(), workshop.allowance()),
        blocks);
  }

  private static List<Cell> row(Line line) {
    return List.of(
        Cell.of(line.article()),
        Cell.of(line.unit().isEmpty() ? "pieces" : line.unit()),
        Cell.of((long) line.needed()),
        Cell.of((long) line.extra()),
        Cell.of((long) line.stock()),
        Cell.of((long) line.toBuy()));
  }
}
