package hamper.load;

import hamper.display.Controller;
import hamper.display.HungRun;
import hamper.display.Plan;
import hamper.display.PortRef;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Solves runs: voltages, currents of feeds, and what is left when one of them is lost. */
public final class RunPowers {
  private RunPowers() {}

  /** Every run of pixels, by controller and port. */
  public static List<RunPower> of(Plan plan) {
    // no controller's runs depend on another's
    return plan.display().controllers().parallelStream()
        .flatMap(controller -> of(plan, controller))
        .toList();
  }

  public static Stream<RunPower> of(Plan plan, Controller controller) {
    return plan.runsOf(controller).stream()
        .filter(HungRun::carriesPixels)
        .map(run -> of(plan, run));
  }

  /**
   * @param run that carries pixels; it may be only tried
   */
  public static RunPower of(Plan plan, HungRun run) {
    PortRef port = run.port();
    List<Island> islands = new ArrayList<>();
    for (RunWire.Part part : RunWire.parts(plan, run)) {
      islands.add(island(port, part));
    }
    return new RunPower(run, islands);
  }

  /**
   * The voltage at a position at planned brightness, as the solver has it: below 0 where pixels
   * would want more than there is (V).
   *
   * @param position in the run, from 1; a feed reaches its part
   */
  public static double voltsAt(Plan plan, HungRun run, int position) {
    for (RunWire.Part part : RunWire.parts(plan, run)) {
      if (position <= part.before() + part.positions()) {
        return ladder(part, false, -1).voltsAt(position - part.before());
      }
    }
    throw new IllegalArgumentException("position %d of %d".formatted(position, run.places()));
  }

  private static Island island(PortRef port, RunWire.Part part) {
    int to = part.before() + part.positions();
    if (part.taps().isEmpty()) {
      return new Island(
          part.before() + 1,
          to,
          part.piece(),
          List.of(),
          reaches(part, Optional.empty(), Optional.empty()),
          Optional.empty());
    }
    LoadedWire plannedWire = part.wire(false);
    Ladder planned = Ladder.of(plannedWire, part.ladderTaps(-1));
    Ladder full = Ladder.of(part.wire(true), part.ladderTaps(-1));
    double[] amps = planned.tapAmps();
    double[] fullAmps = full.tapAmps();
    double[] far = farOhms(part, plannedWire);
    List<FeedLoad> feeds = new ArrayList<>();
    for (int i = 0; i < amps.length; i++) {
      feeds.add(feed(port, part, i, far[i], amps[i], fullAmps[i]));
    }
    return new Island(
        part.before() + 1,
        to,
        part.piece(),
        feeds,
        reaches(part, Optional.of(planned), Optional.of(full)),
        worstLoss(part, plannedWire));
  }

  private static FeedLoad feed(
      PortRef port, RunWire.Part part, int index, double farOhms, double amps, double fullAmps) {
    RunWire.Tap tap = part.taps().get(index);
    return new FeedLoad(
        port,
        tap.at(),
        tap.input(),
        tap.supply(),
        tap.volts(),
        part.before() + tap.position(),
        tap.lead(),
        tap.gauge(),
        tap.ohms(),
        farOhms,
        tap.fuseAmps(),
        amps,
        fullAmps);
  }

  /**
   * Of each feed the loop through its lead to the farthest point that no other feed is nearer to
   * (Ω): halfway to the feeds beside it, or an end of the wire.
   */
  private static double[] farOhms(RunWire.Part part, LoadedWire wire) {
    int[] positions = part.taps().stream().mapToInt(RunWire.Tap::position).sorted().toArray();
    double[] far = new double[positions.length];
    for (int i = 0; i < far.length; i++) {
      RunWire.Tap tap = part.taps().get(i);
      int first = Arrays.binarySearch(positions, tap.position());
      while (first > 0 && positions[first - 1] == tap.position()) {
        first--;
      }
      int next = first;
      while (next < far.length && positions[next] == tap.position()) {
        next++;
      }
      double own = wire.ohmsAt(tap.position());
      double before = first == 0 ? own : (own - wire.ohmsAt(positions[first - 1])) / 2;
      double after =
          next == far.length
              ? wire.ohmsAt(wire.positions()) - own
              : (wire.ohmsAt(positions[next]) - own) / 2;
      far[i] = tap.ohms() + Math.max(before, after);
    }
    return far;
  }

  /**
   * The ladder of a part.
   *
   * @param full whether at 100 %
   * @param lost the index of a feed that is left out; −1 for none
   */
  static Ladder ladder(RunWire.Part part, boolean full, int lost) {
    return Ladder.of(part.wire(full), part.ladderTaps(lost));
  }

  /** Neighbouring stretches of pixels of the same voltage, as one. */
  private static List<Island.Reach> reaches(
      RunWire.Part part, Optional<Ladder> planned, Optional<Ladder> full) {
    List<Island.Reach> reaches = new ArrayList<>();
    int from = 1;
    int next = 1;
    List<RunWire.Stretch> stretches = part.stretches();
    for (int i = 0; i < stretches.size(); i++) {
      next += stretches.get(i).count();
      RunWire.Stretch one = stretches.get(i);
      if (i + 1 == stretches.size() || !one.sameVoltage(stretches.get(i + 1))) {
        int first = from;
        int last = next - 1;
        reaches.add(
            new Island.Reach(
                part.before() + first,
                part.before() + last,
                one.volts(),
                one.leastVolts(),
                planned.map(ladder -> low(part, ladder, first, last)),
                full.map(ladder -> low(part, ladder, first, last))));
        from = next;
      }
    }
    return reaches;
  }

  private static Island.Low low(RunWire.Part part, Ladder ladder, int first, int last) {
    Ladder.Low low = ladder.lowest(first, last);
    return new Island.Low(part.before() + low.position(), low.volts());
  }

  private static Optional<Island.Loss> worstLoss(RunWire.Part part, LoadedWire wire) {
    if (part.taps().size() < 2) {
      return Optional.empty();
    }
    Island.Loss worst = null;
    for (int i = 0; i < part.taps().size(); i++) {
      Ladder without = Ladder.of(wire, part.ladderTaps(i));
      for (Island.Reach reach : reaches(part, Optional.of(without), Optional.empty())) {
        Island.Low low = reach.volts().orElseThrow();
        double margin = low.volts() - reach.leastVolts();
        if (worst == null || margin < worst.low().volts() - worst.leastVolts()) {
          worst = new Island.Loss(i, low, reach.leastVolts());
        }
      }
    }
    return Optional.ofNullable(worst);
  }
}
