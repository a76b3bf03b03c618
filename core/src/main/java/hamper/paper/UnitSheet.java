package hamper.paper;

import hamper.handover.Units;
import hamper.handover.Units.KnownUnit;
import hamper.paper.Block.Cell;
import hamper.paper.Block.Column;
import hamper.paper.Block.Table;
import java.util.ArrayList;
import java.util.List;

/** Devices by serial number: where each was, and where it lies. */
final class UnitSheet {
  private UnitSheet() {}

  static Sheet of(Units units) {
    List<List<Cell>> rows = new ArrayList<>();
    for (KnownUnit one : units.units()) {
      rows.add(
          List.of(
              Cell.of(one.serial()),
              Cell.of(one.model()),
              Cell.of(one.now() ? one.controller() : ""),
              Cell.of(
                  one.history().stream()
                      .findFirst()
                      .map(event -> event.at().toString().substring(0, 10) + " " + event.told())
                      .orElse("")),
              Cell.of(one.place())));
    }
    return Sheet.of(
        Sheet.Kind.UNITS,
        "Units",
        "Devices by serial number, as they said it when they were given something.",
        List.of(
            new Table(
                "",
                List.of(
                    Column.of("Serial"),
                    Column.of("Model"),
                    Column.of("Stands as"),
                    Column.of("Last"),
                    Column.of("Lies in")),
                rows,
                "No device has said its serial number yet.")));
  }
}
