package hamper.advise;

import hamper.display.Feed;
import hamper.display.HungLeg;
import hamper.display.HungRun;
import hamper.display.Leg;
import hamper.display.Plan;
import hamper.display.Run;
import hamper.display.Wiring;
import hamper.load.FeedLoad;
import hamper.load.Island;
import hamper.load.RunPower;
import hamper.load.RunPowers;
import hamper.load.SiteLoads;
import hamper.value.RecordShape;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Finds the fewest extra feeds that set a run right.
 *
 * <p>Feeds of one supply only help each other: one more raises every voltage and relieves every
 * other fuse. So a choice that fails even with all later places added need not be looked into, and
 * numbers are tried from one upwards; of the choices of one number, the one with most to spare is
 * taken. Past {@link #MOST_TRIED} choices the search gives up on being minimal: it adds what helps
 * most, and takes away again what is not needed.
 */
final class FeedPlanner {
  /** What the feeds have to bring about. */
  enum Goal {
    /** Voltage with its margin, and every fuse, at planned brightness and at 100 %. */
    ALL,
    /** Every voltage enough, and no fuse overloaded at planned brightness. */
    PLANNED,
    /** As all, and every voltage enough with any one feed lost. */
    ONE_LOST
  }

  /**
   * A place where a feed could be put.
   *
   * @param leg its index in the run
   * @param position of the string, from 1
   */
  record Place(int leg, int position) {}

  static final List<Double> FUSES = List.of(1.0, 2.0, 3.0, 4.0, 5.0, 7.5, 10.0, 15.0, 20.0);
  private static final int MOST_TRIED = 5000;
  private static final int MOST_PLACES_BETWEEN = 16;

  private final Plan plan;
  private final HungRun run;
  private final Feed pattern;
  private final Goal goal;
  private int tried;

  /**
   * @param pattern how each new feed is to be, wherever it is put
   */
  private FeedPlanner(Plan plan, HungRun run, Feed pattern, Goal goal) {
    this.plan = plan;
    this.run = run;
    this.goal = goal;
    double most = mostFuse(run, pattern);
    this.pattern =
        new Feed(
            pattern.supply(),
            1,
            pattern.leadMetres(),
            pattern.gauge(),
            Optional.of(FUSES.stream().filter(f -> f <= most).reduce((a, b) -> b).orElse(most)));
  }

  /**
   * The run with the fewest feeds more that reach the goal; empty where no choice does.
   *
   * @param places where feeds may be put
   */
  static Optional<Run> fewest(Plan plan, HungRun run, Feed pattern, Goal goal, List<Place> places) {
    FeedPlanner planner = new FeedPlanner(plan, run, pattern, goal);
    return planner.search(places).map(planner::withSmallFuses);
  }

  /** Whether the run has too little voltage somewhere, or too much current in a fuse. */
  static boolean wanting(Plan plan, HungRun run) {
    return run.carriesPixels() && margin(RunPowers.of(plan, run), Goal.ALL) < 0;
  }

  /** Where legs meet, and the far end of the run. */
  static List<Place> joints(HungRun run) {
    List<Place> places = new ArrayList<>();
    for (HungLeg leg : run.legs()) {
      if (leg.index() > 0 || leg.at().string().wires().dataOnly()) {
        places.add(new Place(leg.index(), 1));
      }
    }
    HungLeg last = run.legs().get(run.legs().size() - 1);
    places.add(new Place(last.index(), last.places()));
    return free(run, places);
  }

  /** Joints, and places along the strings at even distances. */
  static List<Place> between(HungRun run) {
    int total = run.legs().stream().mapToInt(HungLeg::places).sum();
    int step = Math.max(10, (total + MOST_PLACES_BETWEEN - 1) / MOST_PLACES_BETWEEN);
    List<Place> places = new ArrayList<>(joints(run));
    for (HungLeg leg : run.legs()) {
      for (int position = step; position < leg.places(); position += step) {
        places.add(new Place(leg.index(), position));
      }
    }
    places.sort(Comparator.comparingInt(Place::leg).thenComparingInt(Place::position));
    return free(run, places);
  }

  private static List<Place> free(HungRun run, List<Place> places) {
    return places.stream()
        .distinct()
        .filter(
            place ->
                run.legs().get(place.leg()).leg().feeds().stream()
                    .noneMatch(feed -> feed.position() == place.position()))
        .toList();
  }

  /** The most that lead, strings, cables and plugs of the run stand (A). */
  private static double mostFuse(HungRun run, Feed pattern) {
    double most = pattern.gaugeOrUsual().mostAmps();
    for (HungLeg leg : run.legs()) {
      Wiring wires = leg.at().string().wires();
      most = Math.min(most, wires.gaugeOrUsual().mostAmps());
      most = Math.min(most, wires.connectorAmps().orElse(most));
      most = Math.min(most, leg.leg().gaugeOrUsual().mostAmps());
    }
    return most;
  }

  private Optional<Run> search(List<Place> places) {
    if (places.isEmpty() || !reached(places)) {
      return Optional.empty();
    }
    for (int count = 1; count <= places.size() && tried < MOST_TRIED; count++) {
      Best best = new Best();
      choose(places, 0, count, new ArrayList<>(), best);
      if (!best.places.isEmpty()) {
        return Optional.of(with(best.places));
      }
    }
    return Optional.of(with(greedy(places)));
  }

  /** Of all choices of one number, the one with most to spare. */
  private static final class Best {
    private List<Place> places = List.of();
    private double spare = -1;
  }

  /** All choices of so many more places, from an index on, that reach the goal. */
  private void choose(List<Place> places, int from, int count, List<Place> chosen, Best best) {
    if (count == 0) {
      tried++;
      RunPower power = solved(with(chosen));
      double spare = Math.min(1 + lossMargin(power), 1);
      if (margin(power, goal) >= 0 && margin(power, goal) + spare > best.spare) {
        best.spare = margin(power, goal) + spare;
        best.places = List.copyOf(chosen);
      }
      return;
    }
    for (int i = from; i + count <= places.size() && tried < MOST_TRIED; i++) {
      if (count > 1) {
        tried++;
        List<Place> all = new ArrayList<>(chosen);
        all.addAll(places.subList(i, places.size()));
        if (!reached(all)) {
          return; // nor does any choice further on: it has fewer to choose from
        }
      }
      chosen.add(places.get(i));
      choose(places, i + 1, count - 1, chosen, best);
      chosen.remove(chosen.size() - 1);
    }
  }

  private List<Place> greedy(List<Place> places) {
    List<Place> chosen = new ArrayList<>();
    List<Place> left = new ArrayList<>(places);
    while (!reached(chosen)) {
      Place best =
          Collections.max(left, Comparator.comparingDouble(place -> margin(plus(chosen, place))));
      left.remove(best);
      chosen.add(best);
    }
    for (Place place : List.copyOf(chosen)) {
      List<Place> without = new ArrayList<>(chosen);
      without.remove(place);
      if (!without.isEmpty() && reached(without)) {
        chosen.remove(place);
      }
    }
    return chosen;
  }

  private static List<Place> plus(List<Place> chosen, Place place) {
    List<Place> all = new ArrayList<>(chosen);
    all.add(place);
    return all;
  }

  private Run with(List<Place> places) {
    List<Leg> legs = new ArrayList<>(run.run().legs());
    for (Place place : places) {
      Leg leg = legs.get(place.leg());
      List<Feed> feeds = new ArrayList<>(leg.feeds());
      feeds.add(pattern.withPosition(place.position()));
      legs.set(place.leg(), leg.withFeeds(feeds));
    }
    return run.run().withLegs(legs);
  }

  private RunPower solved(Run changed) {
    return RunPowers.of(plan, HungRun.of(plan, run.controller(), changed));
  }

  private boolean reached(List<Place> places) {
    return margin(places) >= 0;
  }

  /** How far the goal is kept, as a share of what is allowed; below 0 it is not reached. */
  private double margin(List<Place> places) {
    return margin(solved(with(places)), goal);
  }

  private static double margin(RunPower power, Goal goal) {
    double least = Double.MAX_VALUE;
    for (Island island : power.islands()) {
      for (Island.Reach reach : island.reaches()) {
        double wanted = goal == Goal.PLANNED ? reach.leastVolts() : reach.plannedVolts();
        double volts = reach.volts().map(Island.Low::volts).orElse(0.0);
        least = Math.min(least, volts / wanted - 1);
      }
    }
    if (goal == Goal.ONE_LOST) {
      least = Math.min(least, lossMargin(power));
    }
    return Math.min(
        least,
        power.feeds().mapToDouble(feed -> fuseMargin(feed, goal)).min().orElse(Double.MAX_VALUE));
  }

  /** How far the voltage is kept with any one feed lost, as a share of the least. */
  private static double lossMargin(RunPower power) {
    return power.islands().stream()
        .flatMap(island -> island.worstLoss().stream())
        .mapToDouble(loss -> loss.low().volts() / loss.leastVolts() - 1)
        .min()
        .orElse(Double.MAX_VALUE);
  }

  private static double fuseMargin(FeedLoad feed, Goal goal) {
    if (feed.fuseAmps().isEmpty()) {
      return Double.MAX_VALUE;
    }
    double fuse = feed.fuseAmps().get();
    double planned =
        goal != Goal.PLANNED
            ? Math.max(feed.amps() / SiteLoads.PLANNED_SHARE, feed.fullAmps())
            : feed.amps();
    return 1 - planned / fuse;
  }

  /** Each new feed with the smallest fuse that holds, also at 100 %. */
  private Run withSmallFuses(Run changed) {
    List<FeedLoad> loads = solved(changed).feeds().toList();
    List<Leg> legs =
        IntStream.range(0, changed.legs().size())
            .mapToObj(
                i -> {
                  List<Feed> before = run.legs().get(i).leg().feeds();
                  return fused(changed.legs().get(i), before, loads);
                })
            .toList();
    return changed.withLegs(legs);
  }

  private static Leg fused(Leg leg, List<Feed> before, List<FeedLoad> loads) {
    List<Feed> feeds = new ArrayList<>();
    for (int i = 0; i < leg.feeds().size(); i++) {
      Feed feed = leg.feeds().get(i);
      FeedLoad.FeedRef ref = new FeedLoad.FeedRef(leg.piece(), i);
      double amps =
          loads.stream()
              .filter(load -> load.at().equals(Optional.of(ref)))
              .mapToDouble(load -> Math.max(load.amps() / SiteLoads.PLANNED_SHARE, load.fullAmps()))
              .findFirst()
              .orElse(0);
      feeds.add(before.contains(feed) ? feed : withFuse(feed, amps));
    }
    return leg.withFeeds(feeds);
  }

  private static Feed withFuse(Feed feed, double amps) {
    double most = feed.fuseAmps().orElseThrow();
    double fuse =
        FUSES.stream().filter(size -> size >= amps && size <= most).findFirst().orElse(most);
    return RecordShape.with(feed, "fuseAmps", Optional.of(fuse));
  }
}
