package hamper.samples;

import hamper.display.Feed;
import hamper.display.Leg;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Feeds as a careful planner sets them: the first after fifty pixels, so that the socket carries
 * little, then one for every hundred, each with its fuse.
 */
final class Feeding {
  private static final int FIRST = 50;
  private static final int EVERY = 100;
  private static final double LEAD_METRES = 1;
  private static final double FUSE_AMPS = 7.5;

  private Feeding() {}

  /**
   * The leg with its feeds.
   *
   * @param before positions of the run before its string
   * @param places of the string
   */
  static Leg fed(Leg leg, String supply, int before, int places) {
    return leg.withFeeds(feeds(supply, before, places));
  }

  static List<Feed> feeds(String supply, int before, int places) {
    return IntStream.rangeClosed(before + 1, before + places)
        .filter(position -> position % EVERY == FIRST)
        .mapToObj(
            position ->
                new Feed(
                    supply,
                    position - before,
                    Optional.of(LEAD_METRES),
                    Optional.empty(),
                    Optional.of(FUSE_AMPS)))
        .toList();
  }
}
