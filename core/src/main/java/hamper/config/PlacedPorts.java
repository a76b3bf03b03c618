package hamper.config;

import hamper.display.PortRef;
import hamper.resolve.Placement;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiConsumer;

/** What stands on each port of one controller. */
final class PlacedPorts {
  private final Map<PortRef, List<Placement>> byPort = new LinkedHashMap<>();

  private PlacedPorts() {}

  /**
   * @param placements of one controller, port by port
   */
  static PlacedPorts of(List<Placement> placements) {
    PlacedPorts ports = new PlacedPorts();
    each(placements, ports.byPort::put);
    return ports;
  }

  /** In wire order; empty where nothing stands there. */
  List<Placement> at(PortRef port) {
    return byPort.getOrDefault(port, List.of());
  }

  /**
   * Ports that anything stands on, with it, by kind and number.
   *
   * @param placements of one controller, port by port
   */
  static void each(List<Placement> placements, BiConsumer<PortRef, List<Placement>> visitor) {
    int from = 0;
    for (int i = 1; i <= placements.size(); i++) {
      PortRef port = placements.get(from).port();
      if (i == placements.size() || !placements.get(i).port().equals(port)) {
        visitor.accept(port, placements.subList(from, i));
        from = i;
      }
    }
  }
}
