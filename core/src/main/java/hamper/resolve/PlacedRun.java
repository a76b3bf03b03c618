package hamper.resolve;

import hamper.display.HungRun;
import hamper.display.PortRef;
import java.util.ArrayList;
import java.util.List;

/**
 * A run with where everything on it stands.
 *
 * @param placements in wire order; none on a serial line
 */
public record PlacedRun(HungRun run, List<Placement> placements) {
  public PortRef port() {
    return run.port();
  }

  /**
   * The runs of a controller that anything stands on, in the order of their placements.
   *
   * @param runs of the controller, in its order
   * @param placements of the controller, port by port, in the order of runs but for DMX ports,
   *     which follow
   */
  public static List<PlacedRun> of(List<HungRun> runs, List<Placement> placements) {
    List<PlacedRun> placed = new ArrayList<>(runs.size());
    int next = 0;
    int from = 0;
    for (int i = 1; i <= placements.size(); i++) {
      PortRef port = placements.get(from).port();
      if (i < placements.size() && placements.get(i).port() == port) {
        continue;
      }
      while (!isOf(runs.get(next), port)) {
        next = (next + 1) % runs.size();
      }
      placed.add(new PlacedRun(runs.get(next), placements.subList(from, i)));
      from = i;
    }
    return placed;
  }

  private static boolean isOf(HungRun run, PortRef port) {
    return run.run().port() == port.port() && run.run().kind() == port.kind();
  }
}
