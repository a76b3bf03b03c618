package hamper.check;

import hamper.catalog.Gauge;
import hamper.display.HungLeg;
import hamper.display.HungRun;
import hamper.display.Leg;
import hamper.display.PieceAt;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Supply;
import hamper.display.Wiring;
import hamper.facts.Facts;
import hamper.load.FeedLoad;
import hamper.load.Island;
import hamper.load.RunPower;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;

/** A fuse that lets more through than the wire behind it stands. */
final class FuseWireCheck extends Check {
  FuseWireCheck() {
    super(
        "fuse-wire",
        Area.POWER,
        Severity.FAULT,
        "The fuse is larger than the wire behind it allows",
        "Each fuse, or the supply's rating where a feed has none, with the least of its lead, the strings and cables joined to it and their plugs; what a wire carries is a rule of thumb: AWG 24 3 A, 22 5 A, 20 7.5 A, 18 10 A, 16 15 A, 14 20 A, 12 30 A",
        "In a short the wire burns before the fuse blows.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    Plan plan = facts.plan();
    for (RunPower power : facts.power()) {
      for (Island island : power.islands()) {
        double least = least(power.run(), island);
        for (FeedLoad feed : island.feeds()) {
          double stands = Math.min(least, feed.gauge().mostAmps());
          if (fuse(feed).filter(amps -> amps > stands + ROUNDING).isPresent()) {
            out.accept(told(plan, feed, weakest(power.run(), island)));
          }
        }
      }
    }
  }

  private static final double ROUNDING = 1e-9;

  /**
   * What may flow into a short; empty for a socket without a fuse that the model tells, since
   * nobody knows what stands before it.
   */
  private static Optional<Double> fuse(FeedLoad feed) {
    return feed.fuseAmps().isPresent() || feed.at().isEmpty()
        ? feed.fuseAmps()
        : feed.supply().map(Supply::amps);
  }

  /** A string of a part; its cable counts where it joins the string to the one before. */
  private interface Link {
    void of(PieceAt at, Leg leg, boolean joined);
  }

  private static void along(HungRun run, Island island, Link link) {
    for (HungLeg leg : run.legs()) {
      int from = leg.before() + 1;
      if (from >= island.from() && leg.end() <= island.to()) {
        link.of(leg.at(), leg.leg(), from > island.from());
      }
    }
  }

  /** What the strings, plugs and cables of a part stand (A), without saying which of them. */
  private static double least(HungRun run, Island island) {
    double[] least = {Double.MAX_VALUE};
    along(
        run,
        island,
        (at, leg, joined) -> {
          Wiring wires = at.string().wires();
          least[0] = Math.min(least[0], wires.gaugeOrUsual().mostAmps());
          if (wires.connectorAmps().isPresent()) {
            least[0] = Math.min(least[0], wires.connectorAmps().get());
          }
          if (joined) {
            least[0] = Math.min(least[0], leg.gaugeOrUsual().mostAmps());
          }
        });
    return least[0];
  }

  /**
   * What stands least.
   *
   * @param amps that it stands (A)
   */
  private record Weakest(double amps, Supplier<String> what) {
    static Weakest wire(Gauge gauge, boolean usual, Supplier<String> what) {
      return new Weakest(
          gauge.mostAmps(),
          () -> "%s, %s%s".formatted(what.get(), gauge, usual ? " as usual" : ""));
    }

    Weakest or(Weakest other) {
      return other.amps < amps ? other : this;
    }
  }

  private static Optional<Weakest> weakest(HungRun run, Island island) {
    List<Weakest> all = new ArrayList<>();
    along(
        run,
        island,
        (at, leg, joined) -> {
          all.add(ofString(at));
          if (joined) {
            all.add(ofCable(leg));
          }
        });
    return all.stream().reduce(Weakest::or);
  }

  private static Weakest ofString(PieceAt at) {
    PixelString string = at.string();
    Weakest wire =
        Weakest.wire(
            string.wires().gaugeOrUsual(),
            string.wires().gauge().isEmpty(),
            () -> "the wire of " + at.title());
    return string
        .wires()
        .connectorAmps()
        .map(amps -> wire.or(new Weakest(amps, () -> "the plug of " + at.title())))
        .orElse(wire);
  }

  private static Weakest ofCable(Leg leg) {
    return Weakest.wire(
        leg.gaugeOrUsual(), leg.cableGauge().isEmpty(), () -> "the cable before it");
  }

  private Finding told(Plan plan, FeedLoad feed, Optional<Weakest> joined) {
    Weakest lead = new Weakest(feed.gauge().mostAmps(), () -> "its lead, " + feed.gauge());
    Weakest weakest = joined.map(lead::or).orElse(lead);
    boolean fused = feed.fuseAmps().isPresent();
    Measure let = Measure.rated(fuse(feed).orElseThrow(), "A");
    return finding(
        fused
            ? "%s has a fuse of %s; %s stands %s"
                .formatted(
                    FeedWords.capital(FeedWords.of(plan, feed)),
                    let,
                    weakest.what().get(),
                    Measure.rated(weakest.amps(), "A"))
            : "%s has no fuse, and %s gives up to %s; %s stands %s"
                .formatted(
                    FeedWords.capital(FeedWords.of(plan, feed)),
                    feed.supply().orElseThrow().name(),
                    let,
                    weakest.what().get(),
                    Measure.rated(weakest.amps(), "A")),
        let,
        Measure.rated(weakest.amps(), "A"),
        FeedWords.subjects(feed));
  }
}
