package hamper.load;

import hamper.display.HungRun;
import hamper.display.PortRef;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The electrical side of a run, solved.
 *
 * @param run as it hangs there
 * @param islands along the wire
 */
public record RunPower(HungRun run, List<Island> islands) {
  public RunPower {
    islands = List.copyOf(islands);
  }

  public PortRef port() {
    return run.port();
  }

  public Stream<FeedLoad> feeds() {
    return islands.stream().flatMap(island -> island.feeds().stream());
  }

  /** The port's own feed, at its first socket; empty where the first string takes data only. */
  public Optional<FeedLoad> ownFeed() {
    return feeds().filter(feed -> feed.at().isEmpty()).findFirst();
  }

  /** The reach whose voltage is nearest to, or farthest below, what its pixels need. */
  public Optional<Island.Reach> worst() {
    return islands.stream()
        .flatMap(island -> island.reaches().stream())
        .filter(reach -> reach.volts().isPresent())
        .min(
            Comparator.comparingDouble(
                reach -> reach.volts().orElseThrow().volts() - reach.leastVolts()));
  }
}
