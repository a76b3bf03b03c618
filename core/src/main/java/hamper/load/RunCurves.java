package hamper.load;

import hamper.display.HungRun;
import hamper.display.Plan;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;

/**
 * The voltage along a run, as a curve to be drawn.
 *
 * @param planned at planned brightness, all white
 * @param full the same at 100 %
 * @param without for each feed, along the wire, at planned brightness with that feed lost; where
 *     nothing else feeds its part, that part is left out
 */
public record RunCurves(List<Point> planned, List<Point> full, List<List<Point>> without) {
  /** About as many points as a screen has use for. */
  private static final int POINTS = 240;

  /**
   * A point of a curve.
   *
   * @param position in the run, from 1
   * @param volts there (V); 0: dark
   * @param begins whether a part of the run begins here, so that no line leads to it
   */
  public record Point(int position, double volts, boolean begins) {
    public Point {
      volts = Math.max(0, volts);
    }
  }

  public RunCurves {
    planned = List.copyOf(planned);
    full = List.copyOf(full);
    without = List.copyOf(without);
  }

  /** The curves of a run of pixels. */
  public static RunCurves of(Plan plan, HungRun run) {
    List<RunWire.Part> parts = RunWire.parts(plan, run);
    int total = parts.stream().mapToInt(RunWire.Part::positions).sum();
    int step = Math.max(1, total / POINTS);
    List<List<Point>> without = new ArrayList<>();
    for (RunWire.Part lost : parts) {
      for (int i = 0; i < lost.taps().size(); i++) {
        without.add(curve(parts, step, lost, i));
      }
    }
    return new RunCurves(curve(parts, step, null, -1), full(parts, step), without);
  }

  private static List<Point> full(List<RunWire.Part> parts, int step) {
    List<Point> points = new ArrayList<>();
    for (RunWire.Part part : parts) {
      if (!part.taps().isEmpty()) {
        put(points, part, RunPowers.ladder(part, true, -1), step);
      }
    }
    return points;
  }

  /** All parts at planned brightness, one of them without one of its feeds. */
  private static List<Point> curve(
      List<RunWire.Part> parts, int step, RunWire.Part lost, int feed) {
    List<Point> points = new ArrayList<>();
    for (RunWire.Part part : parts) {
      int without = part == lost ? feed : -1;
      if (part.taps().size() > (without < 0 ? 0 : 1)) {
        put(points, part, RunPowers.ladder(part, false, without), step);
      }
    }
    return points;
  }

  /** Even steps, and every feed, where the curve has its corners. */
  private static void put(List<Point> points, RunWire.Part part, Ladder ladder, int step) {
    TreeSet<Integer> positions = new TreeSet<>();
    for (int position = 1; position < ladder.positions(); position += step) {
      positions.add(position);
    }
    positions.add(ladder.positions());
    part.taps().forEach(tap -> positions.add(tap.position()));
    for (int position : positions) {
      points.add(
          new Point(
              part.before() + position, ladder.voltsAt(position), position == positions.first()));
    }
  }
}
