package hamper.load;

import hamper.value.Require;
import java.util.Arrays;
import java.util.List;

/**
 * Positions along a wire, each drawing its current, fed at some of them: the voltage everywhere and
 * the current of every feed.
 *
 * <p>Source: the load rules, "Current and voltage". Between two feeds the loads act on the two like
 * a beam on its supports, so only the feeds are unknowns: a tridiagonal system, solved once.
 * Between feeds the profile is quadratic along each stretch, so no position is gone through one by
 * one. O(feeds + stretches).
 */
public final class Ladder {
  /** Voltages nearer to each other than this count as equal (V). */
  public static final double EQUAL_VOLTS = 1e-6;

  /** A feed has at least this much resistance (Ω). */
  public static final double LEAST_OHMS = 0.001;

  /**
   * Neighbouring positions that draw the same.
   *
   * @param count of positions, from 1
   * @param amps that each draws (A)
   * @param ohms of the loop between two of them (Ω)
   * @param ohmsBefore of the loop from the position before the first of them (Ω)
   */
  public record Stretch(int count, double amps, double ohms, double ohmsBefore) {
    public Stretch {
      Require.inRange("count", count, 1, 100_000_000);
    }
  }

  /**
   * Where power enters.
   *
   * @param position from 1
   * @param volts of its supply (V)
   * @param ohms of the loop of its lead (Ω); at least {@link #LEAST_OHMS} counts
   */
  public record Tap(int position, double volts, double ohms) {}

  private final LoadedWire wire;
  private final Tap[] taps;
  private final int[] order;

  /** Voltage at each tap, in the order along the wire; equal positions stand side by side. */
  private final double[] tapVolts;

  /** At each tap: resistance from position 1; current and moment up to and with its position. */
  private final double[] starts;

  private final double[] ampsTo;
  private final double[] momentTo;

  /** Current that leaves each tap to the right, its own position not counted (A). */
  private final double[] out;

  private Ladder(LoadedWire wire, List<Tap> given) {
    this.wire = wire;
    int n = given.size();
    order = new int[n];
    for (int i = 0; i < n; i++) {
      int at = i;
      while (at > 0 && given.get(order[at - 1]).position() > given.get(i).position()) {
        order[at] = order[at - 1];
        at--;
      }
      order[at] = i;
    }
    taps = new Tap[n];
    Arrays.setAll(taps, i -> given.get(order[i]));
    tapVolts = solve();
    starts = new double[n];
    ampsTo = new double[n];
    momentTo = new double[n];
    out = new double[n];
    for (int i = 0; i < n; i++) {
      int from = taps[i].position();
      starts[i] = wire.ohmsAt(from);
      ampsTo[i] = wire.ampsBefore(from + 1);
      momentTo[i] = wire.momentBefore(from + 1);
      out[i] = i + 1 < n ? outOf(i) : wire.totalAmps() - ampsTo[i];
    }
  }

  /**
   * @param stretches along the wire, at least one
   * @param taps at least one; in any order
   */
  public static Ladder of(List<Stretch> stretches, List<Tap> taps) {
    Require.inRange("stretches", stretches.size(), 1, Integer.MAX_VALUE);
    Require.inRange("taps", taps.size(), 1, Integer.MAX_VALUE);
    LoadedWire wire = new LoadedWire(stretches.size());
    stretches.forEach(one -> wire.add(one.count(), one.amps(), one.ohms(), one.ohmsBefore()));
    return of(wire, taps);
  }

  /** On a wire that several ladders may share. */
  static Ladder of(LoadedWire wire, List<Tap> taps) {
    taps.forEach(tap -> Require.inRange("position", tap.position(), 1, wire.positions()));
    return new Ladder(wire, taps);
  }

  public int positions() {
    return wire.positions();
  }

  /** Amperes through each tap, in the order they were given; below 0 it is charged. */
  public double[] tapAmps() {
    double[] amps = new double[taps.length];
    for (int i = 0; i < taps.length; i++) {
      amps[order[i]] = (taps[i].volts() - tapVolts[i]) / ohms(taps[i]);
    }
    return amps;
  }

  private static double ohms(Tap tap) {
    return Math.max(LEAST_OHMS, tap.ohms());
  }

  /**
   * Voltages at the taps. Taps at one position are held together by a conductance so large that it
   * does not tell.
   */
  private double[] solve() {
    int n = taps.length;
    double[] diagonal = new double[n];
    double[] link = new double[n];
    double[] right = new double[n];
    for (int i = 0; i < n; i++) {
      diagonal[i] = 1 / ohms(taps[i]);
      right[i] = taps[i].volts() / ohms(taps[i]);
    }
    right[0] -= wire.ampsBefore(taps[0].position());
    for (int i = 0; i + 1 < n; i++) {
      int from = taps[i].position();
      int to = taps[i + 1].position();
      double between = Math.max(TOGETHER_OHMS, wire.ohmsAt(to) - wire.ohmsAt(from));
      link[i] = 1 / between;
      diagonal[i] += link[i];
      diagonal[i + 1] += link[i];
      // loads at or after the first of the two and before the second, on two supports
      double amps = wire.ampsBefore(to) - wire.ampsBefore(from);
      double moment = wire.momentBefore(to) - wire.momentBefore(from) - amps * wire.ohmsAt(from);
      double far = from == to ? 0 : moment / between;
      right[i + 1] -= far;
      right[i] -= amps - far;
    }
    right[n - 1] -= wire.totalAmps() - wire.ampsBefore(taps[n - 1].position());
    for (int i = 1; i < n; i++) {
      double factor = link[i - 1] / diagonal[i - 1];
      diagonal[i] -= factor * link[i - 1];
      right[i] += factor * right[i - 1];
    }
    double[] volts = new double[n];
    for (int i = n - 1; i >= 0; i--) {
      double next = i + 1 < n ? link[i] * volts[i + 1] : 0;
      volts[i] = (right[i] + next) / diagonal[i];
    }
    return volts;
  }

  private static final double TOGETHER_OHMS = 1e-9;

  /**
   * The voltage at a position (V).
   *
   * @param position from 1
   */
  public double voltsAt(int position) {
    Require.inRange("position", position, 1, positions());
    int left = -1;
    while (left + 1 < taps.length && taps[left + 1].position() <= position) {
      left++;
    }
    return voltsAt(position, left);
  }

  /**
   * @param left the last tap at or before the position; −1 where there is none
   */
  private double voltsAt(int position, int left) {
    if (left < 0) {
      return tapVolts[0] - dropTowards(position, taps[0].position());
    }
    int stretch = wire.stretchOf(position);
    double here = wire.ohmsAt(position, stretch) - starts[left];
    double amps = wire.ampsBefore(position, stretch) - ampsTo[left];
    double moment =
        position > taps[left].position()
            ? wire.momentBefore(position, stretch) - momentTo[left] - amps * starts[left]
            : 0;
    return tapVolts[left] - (out[left] - amps) * here - moment;
  }

  /** From a tap back to a position before it, everything before which draws through it. */
  private double dropTowards(int position, int tap) {
    // Σ over the links between of the current that flows through each, towards position 1
    double end = wire.ohmsAt(tap);
    double here = wire.ohmsAt(position);
    double ampsToHere = wire.ampsBefore(position + 1);
    double amps = wire.ampsBefore(tap) - ampsToHere;
    double moment = position < tap ? wire.momentBefore(tap) - wire.momentBefore(position + 1) : 0;
    return ampsToHere * (end - here) + amps * end - moment;
  }

  /** Current on the wire just right of a tap that has another to its right (A). */
  private double outOf(int tap) {
    int from = taps[tap].position();
    int to = taps[tap + 1].position();
    if (from == to) {
      return 0;
    }
    double between = wire.ohmsAt(to) - starts[tap];
    double amps = wire.ampsBefore(to) - ampsTo[tap];
    double moment = to > from + 1 ? wire.momentBefore(to) - momentTo[tap] - amps * starts[tap] : 0;
    return (tapVolts[tap] - tapVolts[tap + 1] - moment) / between + amps;
  }

  /**
   * @param position the lowest whose voltage is the least, within {@link #EQUAL_VOLTS}
   * @param volts there (V)
   */
  public record Low(int position, double volts) {}

  /** Where the voltage is least. */
  public Low lowest() {
    return lowest(1, positions());
  }

  /**
   * Where the voltage is least among some positions.
   *
   * @param first of them, from 1
   * @param last of them
   */
  public Low lowest(int first, int last) {
    Require.inRange("first", first, 1, last);
    Require.inRange("last", last, first, positions());
    double least = Double.MAX_VALUE;
    double[] leasts = new double[taps.length + 1];
    int[] bottoms = new int[taps.length + 1];
    for (int i = -1; i < taps.length; i++) {
      int low = Math.max(first, from(i));
      int high = Math.min(last, to(i));
      bottoms[i + 1] = low <= high ? bottom(i, low, high) : 0;
      leasts[i + 1] = low <= high ? voltsAt(bottoms[i + 1], i) : Double.MAX_VALUE;
      least = Math.min(least, leasts[i + 1]);
    }
    int nearest = -1;
    while (leasts[nearest + 1] > least + EQUAL_VOLTS) {
      nearest++;
    }
    int low = Math.max(first, from(nearest));
    return new Low(firstBelow(nearest, low, bottoms[nearest + 1], least + EQUAL_VOLTS), least);
  }

  /** The positions whose last tap is this one. */
  private int from(int tap) {
    return tap < 0 ? 1 : taps[tap].position();
  }

  private int to(int tap) {
    return tap + 1 < taps.length ? taps[tap + 1].position() - 1 : positions();
  }

  /**
   * The lowest point among positions between two taps: the current on the wire only falls along the
   * way, so the voltage falls as long as current flows to the right, and rises after.
   */
  private int bottom(int tap, int first, int last) {
    if (tap < 0) {
      return first; // all current comes from the right
    }
    int from = taps[tap].position();
    int turning = wire.reaching(from + 1, ampsTo[tap] + out[tap]) - 1;
    int low = Math.max(first, Math.min(last, turning));
    // rounding may put the turning point one beside
    while (low < last && voltsAt(low + 1, tap) < voltsAt(low, tap)) {
      low++;
    }
    while (low > first && voltsAt(low - 1, tap) <= voltsAt(low, tap)) {
      low--;
    }
    return low;
  }

  /** The first position of the falling side that is at or below so many volts. */
  private int firstBelow(int tap, int first, int bottom, double volts) {
    if (bottom == first || voltsAt(bottom - 1, tap) > volts) {
      return bottom; // as nearly always: neighbours are seldom this near to each other
    }
    int low = first;
    int high = bottom - 1;
    while (low < high) {
      int middle = low + (high - low) / 2;
      if (voltsAt(middle, tap) <= volts) {
        high = middle;
      } else {
        low = middle + 1;
      }
    }
    return low;
  }
}
