package hamper.sheet;

import hamper.address.IpAddress;
import hamper.config.Configuration;
import hamper.config.Input;
import hamper.config.Output;
import hamper.display.Plan;
import hamper.display.Subnet;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Everything one device has to be told, in its own numbering and in the order in which it is typed
 * in: itself, its inputs, and its outputs, of which unused ones are emptied.
 *
 * <p>Two devices are told the same exactly where all cells of their sheets are the same.
 *
 * @param mask of the subnet that its address lies in, for devices that ask for it; no cell of its
 *     own, since a plan knows it of the subnet
 */
public record SettingSheet(
    String controller,
    String tag,
    String name,
    String modelTitle,
    Optional<String> mask,
    List<Page> pages) {
  /** A page of the device's own. */
  public record Page(String title, List<SheetRow> rows) {
    public Page {
      rows = List.copyOf(rows);
    }
  }

  public SettingSheet {
    pages = List.copyOf(pages);
  }

  /** With what a plan knows besides. */
  public static SettingSheet of(Plan plan, Configuration configuration) {
    return of(
        configuration,
        configuration.address().flatMap(plan::subnetOf).map(Subnet::mask).map(IpAddress::text));
  }

  /** Of what a device is told alone. */
  public static SettingSheet of(Configuration configuration) {
    return of(configuration, Optional.empty());
  }

  private static SettingSheet of(Configuration configuration, Optional<String> mask) {
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
        mask,
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
