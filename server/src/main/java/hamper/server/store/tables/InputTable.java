package hamper.server.store.tables;

import hamper.display.Controller;
import hamper.display.InputRange;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;

/** Ranges of universes that somebody told a controller to listen to. */
final class InputTable {
  static final Table TABLE =
      new Table(
          "controller_input",
          2,
          List.of("controller_id", "place", "first_universe", "universes", "size"),
          InputTable::rows);

  private InputTable() {}

  private static List<Object[]> rows(Parts parts) {
    List<Object[]> rows = new ArrayList<>();
    for (Parts.Placed<Controller> at : parts.controllers()) {
      Controller controller = at.part();
      List<InputRange> inputs = controller.inputs().orElse(List.of());
      for (int i = 0; i < inputs.size(); i++) {
        InputRange input = inputs.get(i);
        rows.add(Table.row(controller.id(), i, input.firstUniverse(), input.count(), input.size()));
      }
    }
    return rows;
  }

  static InputRange read(Row row) throws SQLException {
    return new InputRange(
        row.integer("first_universe"), row.integer("universes"), row.integer("size"));
  }
}
