package hamper.check;

import hamper.facts.Facts;
import hamper.load.FeedLoad;
import java.util.function.Consumer;

/** A fuse that a short circuit far along the wire does not blow. */
final class FuseShortCheck extends Check {
  /** So many times its rating blow a fuse soon; a rule of thumb. */
  private static final double TIMES = 2;

  FuseShortCheck() {
    super(
        "fuse-short",
        Area.POWER,
        Severity.RISK,
        "A fuse stays whole in a short circuit",
        "The current where positive and negative touch at the far end of what a feed protects, halfway to the next feed or at the end of the wire, through its lead and the wire, with twice its fuse; rule of thumb",
        "The wire gets hot for good, and no fuse ends it.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    facts
        .power()
        .forEach(
            run ->
                run.feeds()
                    .filter(feed -> feed.fuseAmps().isPresent())
                    .filter(feed -> feed.shortAmps() < TIMES * feed.fuseAmps().get())
                    .forEach(feed -> out.accept(told(facts, feed))));
  }

  private Finding told(Facts facts, FeedLoad feed) {
    Measure fuse = Measure.rated(feed.fuseAmps().orElseThrow(), "A");
    Measure flows = Measure.amps(feed.shortAmps());
    return finding(
        "A short circuit at the far end of %s lets %s flow; its fuse is %s"
            .formatted(FeedWords.of(facts.plan(), feed), flows, fuse),
        flows,
        Measure.rated(TIMES * feed.fuseAmps().get(), "A"),
        FeedWords.subjects(feed));
  }
}
