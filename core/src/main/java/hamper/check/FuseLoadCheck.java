package hamper.check;

import hamper.display.Plan;
import hamper.facts.Facts;
import hamper.load.FeedLoad;
import hamper.load.Island;
import hamper.load.RunPower;
import hamper.load.SiteLoads;
import java.util.function.Consumer;

/** A fuse that carries too much. */
final class FuseLoadCheck extends Check {
  FuseLoadCheck() {
    super(
        "fuse-load",
        Area.POWER,
        Severity.FAULT,
        "A fuse carries too much",
        "The current of each feed, all white, with its fuse: at planned brightness above it (fault) or above 80 % of it (risk), and at 100 % above it (risk), since a device's own test ignores brightness",
        "The fuse blows and everything behind it goes dark or brown.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    for (RunPower run : facts.power()) {
      for (Island island : run.islands()) {
        for (FeedLoad feed : island.feeds()) {
          feed.fuseAmps().ifPresent(fuse -> check(facts.plan(), feed, fuse, out));
        }
      }
    }
  }

  private void check(Plan plan, FeedLoad feed, double fuse, Consumer<Finding> out) {
    boolean planned = feed.amps() > fuse * SiteLoads.PLANNED_SHARE;
    if (!planned && feed.fullAmps() <= fuse) {
      return;
    }
    double amps = planned ? feed.amps() : feed.fullAmps();
    double allowed = feed.amps() > fuse || !planned ? fuse : fuse * SiteLoads.PLANNED_SHARE;
    out.accept(
        finding(
            feed.amps() > fuse ? Severity.FAULT : Severity.RISK,
            "%s carries %s at %s; its fuse is %s"
                .formatted(
                    FeedWords.capital(FeedWords.of(plan, feed)),
                    Measure.amps(amps),
                    planned ? "planned brightness" : "100 %",
                    Measure.rated(fuse, "A")),
            Measure.amps(amps),
            Measure.rated(allowed, "A"),
            FeedWords.subjects(feed)));
  }
}
