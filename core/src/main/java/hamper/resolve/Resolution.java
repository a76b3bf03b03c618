package hamper.resolve;

import java.util.List;
import java.util.stream.Stream;

/**
 * A plan's addresses.
 *
 * @param blocks one a controller, in list order
 * @param byController one list a controller, in list order: its pixel, relay, panel and DMX ports
 *     by number, then position
 * @param occupancy one a packet domain, in the order of their first controllers
 */
public record Resolution(
    List<ControllerBlock> blocks,
    List<List<Placement>> byController,
    List<LayoutProblem> problems,
    List<Occupancy> occupancy,
    Overlaps overlaps) {
  public Resolution {
    blocks = List.copyOf(blocks);
    byController = List.copyOf(byController);
    problems = List.copyOf(problems);
    occupancy = List.copyOf(occupancy);
  }

  /** All placements, in order. */
  public Stream<Placement> placements() {
    return byController.stream().flatMap(List::stream);
  }
}
