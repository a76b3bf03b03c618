package hamper.resolve;

import java.util.List;
import java.util.stream.Stream;

/**
 * A plan's addresses.
 *
 * @param blocks one a controller, in list order
 * @param byController one list a controller, in list order: its pixel, relay, panel and DMX ports
 *     by number, then position
 */
public record Resolution(
    List<ControllerBlock> blocks,
    List<List<Placement>> byController,
    List<LayoutProblem> problems,
    Overlaps overlaps) {
  public Resolution {
    blocks = List.copyOf(blocks);
    byController = List.copyOf(byController);
    problems = List.copyOf(problems);
  }

  /** All placements, in order. */
  public Stream<Placement> placements() {
    return byController.stream().flatMap(List::stream);
  }
}
