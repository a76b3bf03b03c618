package hamper.sheet;

import hamper.catalog.PortKind;
import java.util.List;
import java.util.Optional;

/**
 * What is typed in one line of a device's page.
 *
 * @param title what the line is of, such as "Port 5", "Port 5, section 2" or "Input 1"
 * @param name what hangs there, for people; empty where nothing does
 * @param port that it is of, where it is of one
 */
public record SheetRow(String title, String name, Optional<PortAt> port, List<SheetCell> cells) {
  /**
   * @param label as the crew reads it
   * @param section from 1; 0: of the port as a whole
   */
  public record PortAt(PortKind kind, int port, String label, int section) {}

  public SheetRow {
    cells = List.copyOf(cells);
  }
}
