package hamper.sheet;

import hamper.config.Configuration;
import hamper.config.Input;
import hamper.config.Output;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/**
 * Everything one device has to be told, in its own numbering and in the order in which it is typed
 * in: itself, its inputs, and its outputs, of which unused ones are emptied.
 *
 * <p>Two devices are told the same exactly where all cells of their sheets are the same.
 */
public record SettingSheet(
    String controller, String tag, String name, String modelTitle, List<Page> pages) {
  /** A page of the device's own. */
  public record Page(String title, List<SheetRow> rows) {
    public Page {
      rows = List.copyOf(rows);
    }
  }

  public SettingSheet {
    pages = List.copyOf(pages);
  }

  public static SettingSheet of(Configuration configuration) {
    List<Page> pages = new ArrayList<>();
    pages.add(new Page("Device", List.of(DeviceCells.row(configuration))));
    pages.add(new Page("Inputs", inputs(configuration)));
    Map<String, List<SheetRow>> outputs = new LinkedHashMap<>();
    int universe = configuration.inputs().stream().mapToInt(Input::size).findFirst().orElse(0);
    for (Output output : configuration.outputs()) {
      outputs
          .computeIfAbsent(OutputCells.title(output.kind()), title -> new ArrayList<>())
          .addAll(OutputCells.rows(output, universe));
    }
    outputs.forEach((title, rows) -> pages.add(new Page(title, rows)));
    return new SettingSheet(
        configuration.controller(),
        configuration.tag(),
        configuration.name(),
        configuration.modelTitle(),
        pages);
  }

  private static List<SheetRow> inputs(Configuration configuration) {
    List<SheetRow> rows = new ArrayList<>();
    for (int i = 0; i < configuration.inputs().size(); i++) {
      rows.add(DeviceCells.input(configuration.inputs().get(i), i + 1));
    }
    return rows;
  }

  /** All rows, page after page. */
  public Stream<SheetRow> rows() {
    return pages.stream().flatMap(page -> page.rows().stream());
  }

  /** All cells, in the order in which they are typed. */
  public Stream<SheetCell> cells() {
    return rows().flatMap(row -> row.cells().stream());
  }
}
