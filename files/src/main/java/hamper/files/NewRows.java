package hamper.files;

import hamper.display.Piece;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.display.Zone;
import hamper.value.RefusedException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/** Rows of a planner's sheet that make props: read as rows of props are. */
final class NewRows {
  private static final List<PropColumn> ORDER =
      List.of(
          PropColumn.PROP,
          PropColumn.WHAT,
          PropColumn.ZONE,
          PropColumn.TYPE,
          PropColumn.PIECE,
          PropColumn.ORDER,
          PropColumn.BRIGHTNESS);

  private final PropRowReader reader;

  NewRows(Plan plan, String usualType) {
    Map<PropColumn, Integer> columns = new EnumMap<>(PropColumn.class);
    ORDER.forEach(column -> columns.put(column, columns.size()));
    reader = new PropRowReader(plan, usualType, columns);
  }

  /**
   * @return the first piece that the row makes
   * @throws RefusedException where it cannot be
   */
  Piece add(PlanCells cells) {
    String pixels = cells.text(PlanColumn.PIXELS);
    List<String> row =
        List.of(
            cells.text(PlanColumn.PROP),
            isNumber(cells) ? String.valueOf(whole(cells)) : pixels,
            cells.text(PlanColumn.ZONE),
            cells.text(PlanColumn.TYPE),
            cells.text(PlanColumn.PIECE),
            cells.text(PlanColumn.ORDER),
            cells.whole(PlanColumn.BRIGHTNESS, 0, 100).map(String::valueOf).orElse(""));
    return reader.one(new SpreadsheetText.Row(cells.row().number(), new ArrayList<>(row)));
  }

  private static boolean isNumber(PlanCells cells) {
    String cell = cells.text(PlanColumn.PIXELS);
    return cell.matches("[0-9][0-9., '\u00a0\u202f]*\\s*[a-zA-Z]*");
  }

  private static int whole(PlanCells cells) {
    return cells.whole(PlanColumn.PIXELS, 1, hamper.display.Section.MOST_PIXELS).orElseThrow();
  }

  List<Prop> made() {
    return reader.made();
  }

  /** Zones that rows name and the display does not have. */
  List<Zone> newZones() {
    return reader.newZones();
  }

  /** The id of a zone, which is made where nobody has its name. */
  String zone(String name) {
    return reader.zone(name).orElseThrow();
  }
}
