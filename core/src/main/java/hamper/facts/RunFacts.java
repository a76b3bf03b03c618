package hamper.facts;

import hamper.display.HungRun;
import hamper.display.PortRef;
import hamper.display.Supply;
import hamper.load.FeedLoad;
import hamper.load.PortLoad;
import hamper.load.RunPower;
import hamper.resolve.Placement;
import java.util.List;
import java.util.Optional;

/**
 * A run and what follows from it.
 *
 * @param placements of all that hangs on it, in wire order; empty on a serial line
 * @param load where it carries pixels
 * @param power the same; left out where nobody asked for power
 */
public record RunFacts(
    HungRun run, List<Placement> placements, Optional<PortLoad> load, Optional<RunPower> power) {
  public PortRef port() {
    return run.port();
  }

  /** The id of the supply behind its plug, where anybody said which. */
  public Optional<String> supply() {
    return power.flatMap(RunPower::ownFeed).flatMap(FeedLoad::supply).map(Supply::id);
  }
}
